import { Controller, Get, Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER } from '@nestjs/core';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CollectionsModule } from './collections/collections.module.js';
import { databaseOptions } from './database/database.js';
import { DemoService } from './demo/demo.service.js';
import { FilmsModule } from './films/films.module.js';
import { PicturesModule } from './pictures/pictures.module.js';
import { ProblemFilter } from './problems/problem.filter.js';
import { WorkspacesModule } from './workspaces/workspaces.module.js';
import type { Config } from './config/config.js';

@Controller('health')
class HealthController {
  @Get()
  read() {
    return { state: 'serving' };
  }
}

@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...databaseOptions(config.databaseUrl), retryAttempts: 3, retryDelay: 500 }),
        WorkspacesModule,
        CollectionsModule,
        PicturesModule,
        FilmsModule,
      ],
      controllers: [HealthController],
      providers: [DemoService, { provide: APP_FILTER, useClass: ProblemFilter }],
    };
  }
}
