import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { boundedJson } from './http/boundedJson.js';
import { ownPages } from './http/ownPages.js';
import { requestLog } from './http/requestLog.js';
import { answerProblem } from './problems/problem.filter.js';
import { serveInterface } from './serveInterface.js';
import { RequestPipe } from './problems/validation.js';
import type { Config } from './config/config.js';
import type { NextFunction, Request, Response } from 'express';

/** The application, ready to listen or to be tested. */
export async function createApp(config: Config): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    bodyParser: false,
    abortOnError: false,
    logger: ['error', 'warn'],
  });
  app.set('trust proxy', config.trustedProxies);
  app.set('query parser', 'simple');
  app.use(requestLog(config.requestLog));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          // Fonts of a page that is opened come from its files.
          'font-src': ["'self'", 'blob:', 'data:'],
          'img-src': ["'self'", 'blob:', 'data:'],
          'style-src': ["'self'", "'unsafe-inline'"],
          'media-src': ["'self'", 'blob:'],
          'frame-src': ["'self'", 'blob:'],
          // Noria is served over plain HTTP on loopback.
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(ownPages(config.hosts));
  app.use(
    compression({
      filter: (request, response) => !isStream(response) && compression.filter(request, response),
    }),
  );
  // What the API says may be said otherwise by the next version; files, whose addresses name their bytes, say so.
  app.use('/api', (_: Request, response: Response, next: NextFunction) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  app.use(boundedJson(config.limits.bodyBytes));
  // What these refuse comes before any route, so that Nest's own filter does not see it.
  app.use(answerProblem);
  app.setGlobalPrefix('api');
  app.useGlobalPipes(new RequestPipe());
  const description = new DocumentBuilder()
    .setTitle('Noria')
    .setDescription(
      'Collections, their revisions and pictures. Errors are application/problem+json (RFC 9457).',
    )
    .setVersion('1')
    .build();
  SwaggerModule.setup('api/docs', app, () => SwaggerModule.createDocument(app, description));
  if (config.webFolder) serveInterface(app, config.webFolder);
  app.enableShutdownHooks();
  const server = app.getHttpServer();
  server.headersTimeout = 20_000;
  server.requestTimeout = 300_000;
  return app;
}

/** An event stream is sent as it comes. */
function isStream(response: { getHeader(name: string): unknown }): boolean {
  const type = response.getHeader('Content-Type');
  return typeof type === 'string' && type.startsWith('text/event-stream');
}
