import { HttpStatus, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { ProblemException } from '../problems/problem.js';
import { Workspace } from './workspace.entity.js';

/** How a workspace is written in an address. */
const SLUG = /^[a-z0-9][a-z0-9-]{0,63}$/;

@Injectable()
export class WorkspacesService {
  constructor(@InjectRepository(Workspace) private readonly workspaces: Repository<Workspace>) {}

  list(): Promise<Workspace[]> {
    return this.workspaces.find({ order: { createdAt: 'ASC' } });
  }

  async find(slug: string): Promise<Workspace> {
    const workspace = SLUG.test(slug) ? await this.workspaces.findOneBy({ slug }) : null;
    if (workspace) return workspace;
    throw new ProblemException(
      HttpStatus.NOT_FOUND,
      'no-workspace',
      'No such workspace',
      `There is no workspace “${slug.slice(0, 80)}”. GET /api/workspaces lists them.`,
    );
  }

  create(slug: string, name: string): Promise<Workspace> {
    return this.workspaces.save(this.workspaces.create({ slug, name }));
  }

  async readdress(workspace: Workspace, slug: string): Promise<void> {
    await this.workspaces.update({ id: workspace.id }, { slug });
  }

  async remove(slug: string): Promise<void> {
    await this.workspaces.delete({ slug });
  }
}
