import {
  Controller,
  Get,
  HttpStatus,
  Param,
  ParseIntPipe,
  Post,
  Res,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiBody, ApiConsumes, ApiParam, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { ProblemException } from '../problems/problem.js';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { PicturesService } from './pictures.service.js';
import { MOST_PICTURE_BYTES } from './readPicture.js';

const limits = { fileSize: MOST_PICTURE_BYTES, files: 1 };

@ApiTags('pictures')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/pictures')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  @Post()
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: { type: 'object', properties: { picture: { type: 'string', format: 'binary' } } } })
  @UseInterceptors(FileInterceptor('picture', { limits, defParamCharset: 'utf8' }))
  async store(@InWorkspace() workspace: Workspace, @UploadedFile() upload: Express.Multer.File | undefined) {
    if (!upload) {
      throw new ProblemException(
        HttpStatus.BAD_REQUEST,
        'malformed',
        'The request is malformed',
        'Send the picture as the field “picture” of a multipart form.',
      );
    }
    const stored = await this.pictures.store(workspace.id, upload.buffer, upload.originalname);
    const { hash, name, mediaType, inlineSize, blockSize } = stored;
    return { hash, name, mediaType, inlineSize, blockSize };
  }

  @Get(':hash')
  async original(
    @InWorkspace() workspace: Workspace,
    @Param('hash') hash: string,
    @Res() response: Response,
  ) {
    const { bytes, mediaType } = await this.pictures.original(workspace.id, hash);
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
