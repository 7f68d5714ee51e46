import {
  Body,
  Controller,
  Delete,
  Get,
  Headers,
  HttpCode,
  Param,
  ParseIntPipe,
  ParseUUIDPipe,
  Patch,
  Post,
  Res,
} from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiHeader, ApiParam, ApiTags } from '@nestjs/swagger';
import type { JsonPatch } from '@noria/core';
import type { Response } from 'express';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { CollectionsService } from './collections.service.js';
import { CreateCollectionDto } from './dto/create-collection.dto.js';
import { BasedOn, entityTag } from './if-match.js';
import { JsonPatchPipe } from './json-patch.pipe.js';
import { PatchOperationDto } from './dto/patch-operation.dto.js';
import type { Collection } from './collection.entity.js';

@ApiTags('collections')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/collections')
export class CollectionsController {
  constructor(private readonly collections: CollectionsService) {}

  @Get()
  async list(@InWorkspace() workspace: Workspace) {
    const all = await this.collections.list(workspace.id);
    return all.map(resource);
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
  async change(
    @InWorkspace() workspace: Workspace,
    @Param('id', ParseUUIDPipe) id: string,
    @BasedOn() basedOn: number,
    @Headers('idempotency-key') key: string | undefined,
    @Body(JsonPatchPipe) patch: JsonPatch,
    @Res({ passthrough: true }) response: Response,
  ) {
    const changeId = key ? key.slice(0, 100) : null;
    const changed = await this.collections.change(workspace.id, id, { patch, basedOn, changeId });
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
  async revisions(@InWorkspace() workspace: Workspace, @Param('id', ParseUUIDPipe) id: string) {
    const all = await this.collections.revisions(workspace.id, id);
    return all.map(({ number, createdAt, patch }) => ({ number, createdAt, patch }));
  }

  @Get(':id/revisions/:number')
  async revision(
    @InWorkspace() workspace: Workspace,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('number', ParseIntPipe) number: number,
  ) {
    return { number, document: await this.collections.readRevision(workspace.id, id, number) };
  }
}

function resource({ id, name, revision, updatedAt, document }: Collection) {
  return { id, name, revision, updatedAt, document };
}
