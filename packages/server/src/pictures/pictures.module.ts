import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Collection } from '../collections/collection.entity.js';
import { WorkspacesModule } from '../workspaces/workspaces.module.js';
import { Picture, PictureVariant } from './picture.entity.js';
import { PicturesController } from './pictures.controller.js';
import { PicturesService } from './pictures.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([Picture, PictureVariant, Collection]), WorkspacesModule],
  controllers: [PicturesController],
  providers: [PicturesService],
  exports: [PicturesService],
})
export class PicturesModule {}
