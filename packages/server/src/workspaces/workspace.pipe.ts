import { Injectable, Param, type PipeTransform } from '@nestjs/common';
import { WorkspacesService } from './workspaces.service.js';
import type { Workspace } from './workspace.entity.js';

@Injectable()
export class WorkspacePipe implements PipeTransform<string, Promise<Workspace>> {
  constructor(private readonly workspaces: WorkspacesService) {}

  transform(slug: string): Promise<Workspace> {
    return this.workspaces.find(slug);
  }
}

/** The workspace named in the address; 404 when there is none. */
export const InWorkspace = () => Param('workspace', WorkspacePipe);
