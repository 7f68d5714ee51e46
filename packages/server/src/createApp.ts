import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { serveInterface } from './serveInterface.js';
import { validationPipe } from './problems/validation.js';
import type { Config } from './config/config.js';

/** The application, ready to listen or to be tested. */
export async function createApp(config: Config): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    bodyParser: false,
    abortOnError: false,
    logger: ['error', 'warn'],
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
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
  app.use(compression());
  app.useBodyParser('json', { limit: '16mb', type: ['application/json', 'application/json-patch+json'] });
  app.setGlobalPrefix('api');
  app.useGlobalPipes(validationPipe());
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
  return app;
}
