import {
  Controller,
  Delete,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  Post,
  Query,
  Req,
  Res,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiParam, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { deliver } from '../files/deliver.js';
import { Upload, withUpload } from '../files/upload.js';
import { PageDto } from '../lists/cursor.js';
import { RemovePictureDto } from '../pictures/dto.js';
import { fileNameOf, HashPipe } from '../problems/textPipe.js';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { FilmsService } from './films.service.js';

@ApiTags('films')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/films')
export class FilmsController {
  constructor(private readonly films: FilmsService) {}

  @Get()
  library(@InWorkspace() workspace: Workspace, @Query() asked: PageDto) {
    return this.films.library(workspace.id, asked);
  }

  @Post()
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: { type: 'object', properties: { film: { type: 'string', format: 'binary' } } } })
  @UseInterceptors(Upload('film', 'filmBytes'))
  store(@InWorkspace() workspace: Workspace, @UploadedFile() upload: Express.Multer.File | undefined) {
    return withUpload(upload, 'film', async ({ path, originalname }) => {
      const stored = await this.films.store(workspace.id, { path, name: fileNameOf(originalname) });
      const { hash, name, mediaType, byteSize } = stored;
      return { hash, name, mediaType, byteSize };
    });
  }

  @Delete(':hash')
  @HttpCode(HttpStatus.NO_CONTENT)
  async remove(
    @InWorkspace() workspace: Workspace,
    @Param('hash', HashPipe) hash: string,
    @Query() { evenUsed }: RemovePictureDto,
  ) {
    await this.films.remove(workspace.id, hash, evenUsed === 'true');
  }

  /** Browsers ask for a film in pieces. */
  @Get(':hash')
  async deliver(
    @InWorkspace() workspace: Workspace,
    @Param('hash', HashPipe) hash: string,
    @Req() request: Request,
    @Res() response: Response,
  ) {
    const { mediaType, byteSize } = await this.films.find(workspace.id, hash);
    const read = (start: number, end: number) => this.films.bytes(workspace.id, hash, start, end);
    await deliver(request, response, { mediaType, byteSize, tag: hash, read });
  }
}
