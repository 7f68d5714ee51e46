import {
  Controller,
  Get,
  HttpStatus,
  Param,
  Post,
  Req,
  Res,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiBody, ApiConsumes, ApiParam, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { ProblemException } from '../problems/problem.js';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { FilmsService, MOST_FILM_BYTES } from './films.service.js';

const limits = { fileSize: MOST_FILM_BYTES, files: 1 };

@ApiTags('films')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/films')
export class FilmsController {
  constructor(private readonly films: FilmsService) {}

  @Post()
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: { type: 'object', properties: { film: { type: 'string', format: 'binary' } } } })
  @UseInterceptors(FileInterceptor('film', { limits, defParamCharset: 'utf8' }))
  async store(@InWorkspace() workspace: Workspace, @UploadedFile() upload: Express.Multer.File | undefined) {
    if (!upload) {
      throw new ProblemException(
        HttpStatus.BAD_REQUEST,
        'malformed',
        'The request is malformed',
        'Send the film as the field “film” of a multipart form.',
      );
    }
    const { hash, name, mediaType } = await this.films.store(
      workspace.id,
      upload.buffer,
      upload.originalname,
    );
    return { hash, name, mediaType };
  }

  /** Browsers ask for a film in pieces. */
  @Get(':hash')
  async deliver(
    @InWorkspace() workspace: Workspace,
    @Param('hash') hash: string,
    @Req() request: Request,
    @Res() response: Response,
  ) {
    const { bytes, mediaType } = await this.films.find(workspace.id, hash, true);
    response.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
    response.setHeader('Accept-Ranges', 'bytes');
    response.type(mediaType);
    const asked = request.range(bytes.length, { combine: true });
    if (asked === -1) {
      response.setHeader('Content-Range', `bytes */${bytes.length}`);
      response.status(HttpStatus.REQUESTED_RANGE_NOT_SATISFIABLE).end();
      return;
    }
    const [range] = Array.isArray(asked) ? asked : [];
    if (!range) {
      response.send(bytes);
      return;
    }
    response.setHeader('Content-Range', `bytes ${range.start}-${range.end}/${bytes.length}`);
    response.status(HttpStatus.PARTIAL_CONTENT).send(bytes.subarray(range.start, range.end + 1));
  }
}
