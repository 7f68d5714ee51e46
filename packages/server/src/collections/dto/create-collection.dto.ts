import { ApiProperty } from '@nestjs/swagger';
import { IsObject, IsOptional, IsString, Length } from 'class-validator';

export class CreateCollectionDto {
  @ApiProperty({ required: false, description: 'Name of a new, empty collection' })
  @IsOptional()
  @IsString()
  @Length(1, 200)
  name?: string;

  @ApiProperty({ required: false, type: Object, description: 'A whole document, as in a .noria.json file' })
  @IsOptional()
  @IsObject()
  document?: object;
}
