import { ApiProperty } from '@nestjs/swagger';
import { Allow, IsIn, IsOptional, IsString, MaxLength } from 'class-validator';

/** An operation of JSON Patch (RFC 6902). */
export class PatchOperationDto {
  @ApiProperty({ enum: ['add', 'remove', 'replace', 'move', 'copy', 'test'] })
  @IsIn(['add', 'remove', 'replace', 'move', 'copy', 'test'])
  op: string;

  @ApiProperty({ example: '/tiles/beds/place/columnSpan' })
  @IsString()
  @MaxLength(1000)
  path: string;

  @ApiProperty({ required: false })
  @IsOptional()
  @IsString()
  @MaxLength(1000)
  from?: string;

  @ApiProperty({ required: false, type: Object })
  @Allow()
  value?: unknown;
}
