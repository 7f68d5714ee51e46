import { ApiProperty } from '@nestjs/swagger';
import { IsObject, IsString, Length } from 'class-validator';
import { MayBeLeftOut } from '../../problems/optional.js';

export class CreateCollectionDto {
  /** Core’s checker looks at a document. */
  static readonly asItIs = ['document'];

  @ApiProperty({ required: false, description: 'Name of a new, empty collection' })
  @MayBeLeftOut()
  @IsString()
  @Length(1, 200)
  name?: string;

  @ApiProperty({ required: false, type: Object, description: 'A whole document, as in a .noria.json file' })
  @MayBeLeftOut()
  @IsObject()
  document?: object;
}
