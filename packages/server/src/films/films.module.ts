import { Module } from '@nestjs/common';
import { FilesModule } from '../files/files.module.js';
import { WorkspacesModule } from '../workspaces/workspaces.module.js';
import { FilmsController } from './films.controller.js';
import { FilmsService } from './films.service.js';

@Module({
  imports: [FilesModule, WorkspacesModule],
  controllers: [FilmsController],
  providers: [FilmsService],
})
export class FilmsModule {}
