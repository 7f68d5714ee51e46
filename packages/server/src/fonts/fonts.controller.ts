import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  HttpStatus,
  Param,
  Post,
  Query,
  Req,
  Res,
  StreamableFile,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiParam, ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsString, MaxLength } from 'class-validator';
import type { Request, Response } from 'express';
import { deliver } from '../files/deliver.js';
import { Upload, withUpload } from '../files/upload.js';
import { PageDto } from '../lists/cursor.js';
import { RemovePictureDto } from '../pictures/dto.js';
import { fileNameOf, HashPipe } from '../problems/textPipe.js';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import type { Font } from './font.entity.js';
import { FontsService } from './fonts.service.js';

class SubsetDto {
  @ApiProperty({ description: 'The characters to keep' })
  @IsString()
  @MaxLength(70_000)
  characters: string;
}

const shown = ({ workspaceId: _, ...font }: Font) => font;

@ApiTags('fonts')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/fonts')
export class FontsController {
  constructor(private readonly fonts: FontsService) {}

  @Get()
  library(@InWorkspace() workspace: Workspace, @Query() asked: PageDto) {
    return this.fonts.library(workspace.id, asked);
  }

  @Post()
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: { type: 'object', properties: { font: { type: 'string', format: 'binary' } } } })
  @UseInterceptors(Upload('font', 'fontBytes'))
  store(@InWorkspace() workspace: Workspace, @UploadedFile() upload: Express.Multer.File | undefined) {
    return withUpload(upload, 'font', async ({ path, originalname }) =>
      shown(await this.fonts.store(workspace.id, { path, name: fileNameOf(originalname) })),
    );
  }

  @Delete(':hash')
  @HttpCode(HttpStatus.NO_CONTENT)
  async remove(
    @InWorkspace() workspace: Workspace,
    @Param('hash', HashPipe) hash: string,
    @Query() { evenUsed }: RemovePictureDto,
  ) {
    await this.fonts.remove(workspace.id, hash, evenUsed === 'true');
  }

  /** What a page takes along of a font. */
  @Post(':hash/subset')
  @HttpCode(HttpStatus.OK)
  @Header('Content-Type', 'font/woff2')
  async subset(
    @InWorkspace() workspace: Workspace,
    @Param('hash', HashPipe) hash: string,
    @Body() { characters }: SubsetDto,
  ) {
    return new StreamableFile(await this.fonts.subset(workspace.id, hash, characters), {
      type: 'font/woff2',
    });
  }

  @Get(':hash')
  async deliver(
    @InWorkspace() workspace: Workspace,
    @Param('hash', HashPipe) hash: string,
    @Req() request: Request,
    @Res() response: Response,
  ) {
    const { mediaType, byteSize } = await this.fonts.find(workspace.id, hash);
    const read = (start: number, end: number) => this.fonts.bytes(workspace.id, hash, start, end);
    await deliver(request, response, { mediaType, byteSize, tag: hash, read });
  }
}
