import {
  Body,
  Controller,
  Delete,
  Get,
  DefaultValuePipe,
  HttpCode,
  Param,
  ParseUUIDPipe,
  Patch,
  Post,
  Query,
  Req,
  Res,
} from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiHeader, ApiParam, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { JsonPatch } from '@noria/core';
import type { Request, Response } from 'express';
import { bodySize } from '../http/boundedJson.js';
import { PageDto } from '../lists/cursor.js';
import { CountPipe } from '../problems/textPipe.js';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { ChangeId } from './change-id.js';
import { CollectionsService, type Whole } from './collections.service.js';
import { CreateCollectionDto } from './dto/create-collection.dto.js';
import { ForFormat } from './for-format.js';
import { BasedOn, entityTag } from './if-match.js';
import { JsonPatchPipe } from './json-patch.pipe.js';
import { PatchOperationDto } from './dto/patch-operation.dto.js';

@ApiTags('collections')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/collections')
export class CollectionsController {
  constructor(private readonly collections: CollectionsService) {}

  @Get()
  list(@InWorkspace() workspace: Workspace, @Query() asked: PageDto) {
    return this.collections.list(workspace.id, asked);
  }

  @Post()
  async create(
    @InWorkspace() workspace: Workspace,
    @Body() body: CreateCollectionDto,
    @Res({ passthrough: true }) response: Response,
  ) {
    const created = await this.collections.create(workspace.id, body);
    response.setHeader('ETag', entityTag(created.revision));
    response.setHeader('Location', `/api/workspaces/${workspace.slug}/collections/${created.id}`);
    return resource(created);
  }

  @Get(':id')
  async read(
    @InWorkspace() workspace: Workspace,
    @Param('id', ParseUUIDPipe) id: string,
    @Res({ passthrough: true }) response: Response,
  ) {
    const collection = await this.collections.read(workspace.id, id);
    response.setHeader('ETag', entityTag(collection.revision));
    return resource(collection);
  }

  @Patch(':id')
  @ApiConsumes('application/json-patch+json')
  @ApiBody({ type: [PatchOperationDto] })
  @ApiHeader({
    name: 'If-Match',
    required: true,
    description: 'The revision the patch is based on, in quotes',
  })
  @ApiHeader({
    name: 'Idempotency-Key',
    required: false,
    description: 'A change sent twice under one key is made once',
  })
  @ApiHeader({
    name: 'Noria-Format',
    required: false,
    description: 'The format version of the document that was changed; left out: the present one',
  })
  async change(
    @InWorkspace() workspace: Workspace,
    @Param('id', ParseUUIDPipe) id: string,
    @BasedOn() basedOn: number,
    @ChangeId() changeId: string | null,
    @ForFormat() format: number,
    @Body(JsonPatchPipe) patch: JsonPatch,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ) {
    const size = bodySize(request);
    const change = { patch, size, basedOn, changeId, format };
    const changed = await this.collections.change(workspace.id, id, change);
    response.setHeader('ETag', entityTag(changed.revision));
    return changed;
  }

  @Delete(':id')
  @HttpCode(204)
  @ApiHeader({ name: 'If-Match', required: true })
  async remove(
    @InWorkspace() workspace: Workspace,
    @Param('id', ParseUUIDPipe) id: string,
    @BasedOn() basedOn: number,
  ): Promise<void> {
    await this.collections.remove(workspace.id, id, basedOn);
  }

  @Get(':id/revisions')
  @ApiQuery({
    name: 'before',
    required: false,
    description: 'Only revisions before this one, the newest first',
  })
  async revisions(
    @InWorkspace() workspace: Workspace,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('before', new DefaultValuePipe('2147483647'), CountPipe) before: number,
  ) {
    const all = await this.collections.revisions(workspace.id, id, before);
    return all.map(({ number, createdAt, patch }) => ({ number, createdAt, patch }));
  }

  @Get(':id/revisions/:number')
  async revision(
    @InWorkspace() workspace: Workspace,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('number', CountPipe) number: number,
  ) {
    return { number, document: await this.collections.readRevision(workspace.id, id, number) };
  }
}

function resource({ id, name, revision, updatedAt, document }: Whole) {
  return { id, name, revision, updatedAt, document };
}
