import { ApiProperty } from '@nestjs/swagger';
import { Allow, IsIn, IsString, MaxLength } from 'class-validator';
import { MayBeLeftOut } from '../../problems/optional.js';

const OPERATIONS = ['add', 'remove', 'replace', 'move', 'test'];

/**
 * An operation of JSON Patch (RFC 6902), but for `copy`: a few of them make a document of gigabytes.
 */
export class PatchOperationDto {
  @ApiProperty({ enum: OPERATIONS })
  @IsIn(OPERATIONS, {
    message: `op is one of ${OPERATIONS.join(', ')}; instead of copy, send add with the value`,
  })
  op: string;

  @ApiProperty({ example: '/tiles/beds/place/columnSpan' })
  @IsString()
  @MaxLength(1000)
  path: string;

  @ApiProperty({ required: false })
  @MayBeLeftOut()
  @IsString()
  @MaxLength(1000)
  from?: string;

  @ApiProperty({ required: false, type: Object })
  @Allow()
  value?: unknown;
}
