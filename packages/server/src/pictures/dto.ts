import { ApiProperty } from '@nestjs/swagger';
import { IsIn, IsString, Length, Matches, MaxLength } from 'class-validator';
import { PageDto } from '../lists/cursor.js';
import { MayBeLeftOut } from '../problems/optional.js';

// eslint-disable-next-line no-control-regex -- PostgreSQL keeps no text with it
const NO_NUL = /^[^\u0000]*$/;
const nul = { message: '$property holds a character that no text can have (U+0000)' };

export class DescribePictureDto {
  @ApiProperty({ required: false, description: 'What the library calls it' })
  @MayBeLeftOut()
  @IsString()
  @Length(1, 200)
  @Matches(NO_NUL, nul)
  name?: string;

  @ApiProperty({ required: false, description: 'What it shows, for those who don’t see it' })
  @MayBeLeftOut()
  @IsString()
  @MaxLength(2000)
  @Matches(NO_NUL, nul)
  alternativeText?: string;
}

export class FindPicturesDto extends PageDto {
  @ApiProperty({ required: false, description: 'Words in the name or the alternative text' })
  @MayBeLeftOut()
  @IsString()
  @MaxLength(200)
  @Matches(NO_NUL, nul)
  search?: string;

  @ApiProperty({ required: false, enum: ['all', 'unused', 'silent'] })
  @MayBeLeftOut()
  @IsIn(['all', 'unused', 'silent'])
  only?: 'all' | 'unused' | 'silent';
}

export class RemovePictureDto {
  @ApiProperty({ required: false, description: 'true: also when tiles show it' })
  @MayBeLeftOut()
  @IsString()
  evenUsed?: string;
}
