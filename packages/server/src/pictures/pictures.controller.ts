import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  Patch,
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
import { CountPipe, fileNameOf, HashPipe } from '../problems/textPipe.js';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { DescribePictureDto, FindPicturesDto, RemovePictureDto } from './dto.js';
import type { Picture } from './picture.entity.js';
import { PicturesService } from './pictures.service.js';

/** What the library shows of a picture. */
const shown = ({ workspaceId: _, ...picture }: Picture) => picture;

@ApiTags('pictures')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/pictures')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  @Get()
  library(@InWorkspace() workspace: Workspace, @Query() asked: FindPicturesDto) {
    return this.pictures.library(workspace.id, asked);
  }

  @Post()
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: { type: 'object', properties: { picture: { type: 'string', format: 'binary' } } } })
  @UseInterceptors(Upload('picture', 'pictureBytes'))
  store(@InWorkspace() workspace: Workspace, @UploadedFile() upload: Express.Multer.File | undefined) {
    return withUpload(upload, 'picture', async ({ path, originalname }) =>
      shown(await this.pictures.store(workspace.id, { path, name: fileNameOf(originalname) })),
    );
  }

  @Get(':hash/uses')
  uses(@InWorkspace() workspace: Workspace, @Param('hash', HashPipe) hash: string) {
    return this.pictures.uses(workspace.id, hash);
  }

  @Patch(':hash')
  async describe(
    @InWorkspace() workspace: Workspace,
    @Param('hash', HashPipe) hash: string,
    @Body() values: DescribePictureDto,
  ) {
    return shown(await this.pictures.describe(workspace.id, hash, values));
  }

  @Delete(':hash')
  @HttpCode(HttpStatus.NO_CONTENT)
  async remove(
    @InWorkspace() workspace: Workspace,
    @Param('hash', HashPipe) hash: string,
    @Query() { evenUsed }: RemovePictureDto,
  ) {
    await this.pictures.remove(workspace.id, hash, evenUsed === 'true');
  }

  @Get(':hash')
  async original(
    @InWorkspace() workspace: Workspace,
    @Param('hash', HashPipe) hash: string,
    @Req() request: Request,
    @Res() response: Response,
  ) {
    const { mediaType, byteSize } = await this.pictures.find(workspace.id, hash);
    // A drawing that is opened by itself may do nothing but be seen.
    response.setHeader('Content-Security-Policy', "default-src 'none'; style-src 'unsafe-inline'; sandbox");
    const read = (start: number, end: number) => this.pictures.bytes(workspace.id, hash, start, end);
    await deliver(request, response, { mediaType, byteSize, tag: hash, read });
  }

  @Get(':hash/:inlineSize')
  async variant(
    @InWorkspace() workspace: Workspace,
    @Param('hash', HashPipe) hash: string,
    @Param('inlineSize', CountPipe) inlineSize: number,
    @Res() response: Response,
  ) {
    const bytes = await this.pictures.variant(workspace.id, hash, inlineSize);
    response.setHeader('ETag', `"${hash}-${inlineSize}"`);
    response.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
    response.type('image/webp').send(bytes);
  }
}
