import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { PicturesModule } from '../pictures/pictures.module.js';
import { WorkspacesModule } from '../workspaces/workspaces.module.js';
import { Collection } from './collection.entity.js';
import { CollectionsController } from './collections.controller.js';
import { CollectionsService } from './collections.service.js';
import { Revision } from './revision.entity.js';

@Module({
  imports: [TypeOrmModule.forFeature([Collection, Revision]), WorkspacesModule, PicturesModule],
  controllers: [CollectionsController],
  providers: [CollectionsService],
  exports: [CollectionsService],
})
export class CollectionsModule {}
