import { Controller, Get } from '@nestjs/common';
import { ApiParam, ApiTags } from '@nestjs/swagger';
import { InWorkspace } from '../workspaces/workspace.pipe.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { CollectionsService } from './collections.service.js';

@ApiTags('recipes')
@ApiParam({ name: 'workspace', type: String })
@Controller('workspaces/:workspace/recipes')
export class RecipesController {
  constructor(private readonly collections: CollectionsService) {}

  /** The collections that have recipes, up to a hundred, the last changed first. */
  @Get()
  list(@InWorkspace() workspace: Workspace) {
    return this.collections.withRecipes(workspace.id);
  }
}
