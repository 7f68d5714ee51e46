import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import { join } from 'node:path';

/** Serves the built interface; an address of a view answers the page, a missing file answers 404. */
export function serveInterface(app: NestExpressApplication, folder: string): void {
  app.useStaticAssets(folder, {
    index: false,
    setHeaders: (response: Response, path: string) => {
      const hashed = path.includes('/assets/');
      response.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const isView =
      request.method === 'GET' && !/^\/(api|assets)(\/|$)/.test(request.path) && !/\.\w+$/.test(request.path);
    if (!isView) {
      next();
      return;
    }
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(folder, 'index.html'));
  });
}
