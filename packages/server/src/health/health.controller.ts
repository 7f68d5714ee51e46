import { Controller, Get, HttpStatus } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { SkipThrottle } from '@nestjs/throttler';
import { DataSource } from 'typeorm';
import { ProblemException } from '../problems/problem.js';

const PATIENCE_MS = 2000;

@SkipThrottle()
@Controller('health')
export class HealthController {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** Whether requests can be served: the process runs, and the database answers it. */
  @Get()
  async read() {
    const late = new Promise<never>((_, reject) =>
      setTimeout(() => reject(new Error('late')), PATIENCE_MS).unref(),
    );
    try {
      await Promise.race([this.database.query('SELECT 1'), late]);
      return { state: 'serving', database: 'answers' };
    } catch {
      throw new ProblemException(
        HttpStatus.SERVICE_UNAVAILABLE,
        'database-away',
        'The database does not answer',
        'Nothing can be read or stored until it does. Start it again; this server then goes on by itself.',
      );
    }
  }

  /** Whether the process runs, whatever of the database. */
  @Get('process')
  process() {
    return { state: 'running' };
  }
}
