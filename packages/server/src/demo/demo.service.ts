import { Injectable } from '@nestjs/common';
import type { CollectionDocument } from '@noria/core';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { CollectionsService } from '../collections/collections.service.js';
import { PicturesService } from '../pictures/pictures.service.js';
import { WorkspacesService } from '../workspaces/workspaces.service.js';

/** Its address until all is loaded, so that a load cut short is begun anew. */
const LOADING = 'demo-loading';

/** Fills an empty database with the demo workspace. */
@Injectable()
export class DemoService {
  constructor(
    private readonly workspaces: WorkspacesService,
    private readonly collections: CollectionsService,
    private readonly pictures: PicturesService,
  ) {}

  /** @returns how many collections were loaded; 0 when there is a workspace already */
  async loadIfEmpty(folder: string): Promise<number> {
    await this.workspaces.remove(LOADING);
    if ((await this.workspaces.list()).length > 0) return 0;
    const workspace = await this.workspaces.create(LOADING, 'Mountain hut cooperative');
    const { id } = workspace;
    const files = (await readdir(folder)).filter((file) => file.endsWith('.noria.json')).sort();
    for (const file of files) {
      const document = JSON.parse(await readFile(join(folder, file), 'utf8')) as CollectionDocument;
      for (const picture of Object.values(document.pictures)) {
        const path = join(folder, 'pictures', picture.file);
        const { hash } = await this.pictures.store(id, { path, name: picture.name });
        await this.pictures.describe(id, hash, { alternativeText: picture.alternativeText });
      }
      await this.collections.create(id, { document });
    }
    await this.workspaces.readdress(workspace, 'huts');
    return files.length;
  }
}
