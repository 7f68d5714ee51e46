import { Module } from '@nestjs/common';
import { DocumentsModule } from '../documents/documents.module.js';
import { PicturesModule } from '../pictures/pictures.module.js';
import { WorkspacesModule } from '../workspaces/workspaces.module.js';
import { CollectionsController } from './collections.controller.js';
import { CollectionsService } from './collections.service.js';
import { RecipesController } from './recipes.controller.js';

@Module({
  imports: [DocumentsModule, WorkspacesModule, PicturesModule],
  controllers: [CollectionsController, RecipesController],
  providers: [CollectionsService],
  exports: [CollectionsService],
})
export class CollectionsModule {}
