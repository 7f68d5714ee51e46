import { Module } from '@nestjs/common';
import { FilesModule } from '../files/files.module.js';
import { WorkspacesModule } from '../workspaces/workspaces.module.js';
import { FontsController } from './fonts.controller.js';
import { FontsService } from './fonts.service.js';

@Module({
  imports: [FilesModule, WorkspacesModule],
  controllers: [FontsController],
  providers: [FontsService],
})
export class FontsModule {}
