import { Global, Module, type DynamicModule } from '@nestjs/common';
import type { Config } from './config.js';

/** The configuration, to be injected by this name. */
export const CONFIG = Symbol('Config');

@Global()
@Module({})
export class ConfigModule {
  static with(config: Config): DynamicModule {
    return { module: ConfigModule, providers: [{ provide: CONFIG, useValue: config }], exports: [CONFIG] };
  }
}
