import { Module } from '@nestjs/common';
import { DocumentsModule } from '../documents/documents.module.js';
import { FilesModule } from '../files/files.module.js';
import { WorkspacesModule } from '../workspaces/workspaces.module.js';
import { PicturesController } from './pictures.controller.js';
import { PicturesService } from './pictures.service.js';

@Module({
  imports: [DocumentsModule, FilesModule, WorkspacesModule],
  controllers: [PicturesController],
  providers: [PicturesService],
  exports: [PicturesService],
})
export class PicturesModule {}
