import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  ParseIntPipe,
  Patch,
  Post,
  Query,
  Res,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiBody, ApiConsumes, ApiParam, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { diskStorage } from 'multer';
import { readFile, rm } from 'node:fs/promises';
import { ProblemException } from '../problems/problem.js';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { DescribePictureDto, FindPicturesDto } from './dto.js';
import type { Picture } from './picture.entity.js';
import { PicturesService } from './pictures.service.js';
import { MOST_PICTURE_BYTES } from './readPicture.js';

/** Uploads wait on disk until they are read: many come at once, and memory is small. */
const upload = {
  storage: diskStorage({}),
  limits: { fileSize: MOST_PICTURE_BYTES, files: 1 },
  defParamCharset: 'utf8' as const,
};

/** What the library shows of a picture. */
const shown = ({ bytes: _, workspaceId: __, ...picture }: Picture) => picture;

@ApiTags('pictures')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/pictures')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  @Get()
  async library(@InWorkspace() workspace: Workspace, @Query() { search = '' }: FindPicturesDto) {
    const found = await this.pictures.library(workspace.id, search);
    return found.map((picture) => ({ ...shown(picture), uses: picture.uses }));
  }

  @Post()
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: { type: 'object', properties: { picture: { type: 'string', format: 'binary' } } } })
  @UseInterceptors(FileInterceptor('picture', upload))
  async store(@InWorkspace() workspace: Workspace, @UploadedFile() file: Express.Multer.File | undefined) {
    if (!file) {
      throw new ProblemException(
        HttpStatus.BAD_REQUEST,
        'malformed',
        'The request is malformed',
        'Send the picture as the field “picture” of a multipart form.',
      );
    }
    try {
      return shown(await this.pictures.store(workspace.id, () => readFile(file.path), file.originalname));
    } finally {
      await rm(file.path, { force: true });
    }
  }

  @Get(':hash/uses')
  uses(@InWorkspace() workspace: Workspace, @Param('hash') hash: string) {
    return this.pictures.uses(workspace.id, hash);
  }

  @Patch(':hash')
  async describe(
    @InWorkspace() workspace: Workspace,
    @Param('hash') hash: string,
    @Body() values: DescribePictureDto,
  ) {
    return shown(await this.pictures.describe(workspace.id, hash, values));
  }

  @Delete(':hash')
  @HttpCode(HttpStatus.NO_CONTENT)
  @ApiQuery({ name: 'evenUsed', required: false, description: 'true: also when tiles show it' })
  async remove(
    @InWorkspace() workspace: Workspace,
    @Param('hash') hash: string,
    @Query('evenUsed') evenUsed?: string,
  ) {
    await this.pictures.remove(workspace.id, hash, evenUsed === 'true');
  }

  @Get(':hash')
  async original(
    @InWorkspace() workspace: Workspace,
    @Param('hash') hash: string,
    @Res() response: Response,
  ) {
    const { bytes, mediaType } = await this.pictures.original(workspace.id, hash);
    // A drawing that is opened by itself may do nothing but be seen.
    response.setHeader('Content-Security-Policy', "default-src 'none'; style-src 'unsafe-inline'; sandbox");
    deliver(response, bytes, mediaType, hash);
  }

  @Get(':hash/:inlineSize')
  async variant(
    @InWorkspace() workspace: Workspace,
    @Param('hash') hash: string,
    @Param('inlineSize', ParseIntPipe) inlineSize: number,
    @Res() response: Response,
  ) {
    const bytes = await this.pictures.variant(workspace.id, hash, inlineSize);
    deliver(response, bytes, 'image/webp', `${hash}-${inlineSize}`);
  }
}

/** The address names the bytes, so they never change. */
function deliver(response: Response, bytes: Buffer, mediaType: string, tag: string) {
  response.setHeader('ETag', `"${tag}"`);
  response.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
  response.type(mediaType).send(bytes);
}
