import { ApiProperty } from '@nestjs/swagger';
import { IsOptional, IsString, Length, MaxLength } from 'class-validator';

export class DescribePictureDto {
  @ApiProperty({ required: false, description: 'What the library calls it' })
  @IsOptional()
  @IsString()
  @Length(1, 200)
  name?: string;

  @ApiProperty({ required: false, description: 'What it shows, for those who don’t see it' })
  @IsOptional()
  @IsString()
  @MaxLength(2000)
  alternativeText?: string;
}

export class FindPicturesDto {
  @ApiProperty({ required: false, description: 'Words in the name or the alternative text' })
  @IsOptional()
  @IsString()
  @MaxLength(200)
  search?: string;
}
