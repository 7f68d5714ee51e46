import { Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CollectionsModule } from './collections/collections.module.js';
import { ConfigModule } from './config/config.module.js';
import { databaseOptions } from './database/database.js';
import { DemoService } from './demo/demo.service.js';
import { EventsModule } from './events/events.module.js';
import { FilmsModule } from './films/films.module.js';
import { FontsModule } from './fonts/fonts.module.js';
import { HealthController } from './health/health.controller.js';
import { LastAnswers } from './http/lastAnswers.js';
import { PicturesModule } from './pictures/pictures.module.js';
import { SchemaController } from './schema/schema.controller.js';
import { ProblemFilter } from './problems/problem.filter.js';
import { WorkModule } from './work/work.module.js';
import { WorkspacesModule } from './workspaces/workspaces.module.js';
import type { Config } from './config/config.js';

const TEN_SECONDS = 10_000;

@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    const { limits, databaseUrl } = config;
    const limit = limits.requestsInTenSeconds;
    return {
      module: AppModule,
      imports: [
        ConfigModule.with(config),
        TypeOrmModule.forRoot({
          ...databaseOptions(databaseUrl, limits),
          retryAttempts: 3,
          retryDelay: 500,
        }),
        ThrottlerModule.forRoot({
          throttlers: [{ ttl: TEN_SECONDS, limit: limit || 1 }],
          skipIf: () => limit === 0,
          errorMessage: 'Too many requests in a short time. Wait ten seconds, then go on.',
        }),
        WorkModule,
        WorkspacesModule,
        EventsModule,
        CollectionsModule,
        PicturesModule,
        FilmsModule,
        FontsModule,
      ],
      controllers: [HealthController, SchemaController],
      providers: [
        DemoService,
        LastAnswers,
        { provide: APP_FILTER, useClass: ProblemFilter },
        { provide: APP_GUARD, useClass: ThrottlerGuard },
      ],
    };
  }
}
