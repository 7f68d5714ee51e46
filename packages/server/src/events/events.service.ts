import {
  Inject,
  Injectable,
  Logger,
  type BeforeApplicationShutdown,
  type OnApplicationBootstrap,
  type OnApplicationShutdown,
} from '@nestjs/common';
import pg from 'pg';
import { Subject } from 'rxjs';
import type { EntityManager } from 'typeorm';
import { CONFIG } from '../config/config.module.js';
import type { Config } from '../config/config.js';

/** A collection was made, changed or deleted, here or at another server of the same database. */
export interface CollectionChanged {
  readonly workspaceId: string;
  readonly id: string;
  /** Null: it was deleted. */
  readonly revision: number | null;
  readonly changeId: string | null;
}

const CHANNEL = 'noria_collections';
const AGAIN_AFTER_MS = 1000;

/** Tells of changes to all servers of a database, by the database (LISTEN and NOTIFY). */
@Injectable()
export class EventsService
  implements OnApplicationBootstrap, BeforeApplicationShutdown, OnApplicationShutdown
{
  readonly changes = new Subject<CollectionChanged>();
  private readonly log = new Logger('Events');
  private client: pg.Client | null = null;
  private again: NodeJS.Timeout | null = null;
  private closed = false;

  constructor(@Inject(CONFIG) private readonly config: Config) {}

  /** Tells of a change as soon as the transaction that makes it is committed. */
  async changed(
    manager: EntityManager,
    workspaceId: string,
    change: Omit<CollectionChanged, 'workspaceId'>,
  ): Promise<void> {
    await manager.query('SELECT pg_notify($1, $2)', [CHANNEL, JSON.stringify({ workspaceId, ...change })]);
  }

  async onApplicationBootstrap(): Promise<void> {
    await this.listen();
  }

  /** Streams end here, or closing would wait for them. */
  beforeApplicationShutdown(): void {
    this.changes.complete();
  }

  async onApplicationShutdown(): Promise<void> {
    this.closed = true;
    if (this.again) clearTimeout(this.again);
    await this.client?.end().catch(() => undefined);
  }

  private async listen(): Promise<void> {
    const client = new pg.Client({
      connectionString: this.config.databaseUrl,
      connectionTimeoutMillis: this.config.limits.connectionWait,
      keepAlive: true,
    });
    this.client = client;
    // Comes once for a connection that is lost, and for one that could not be made.
    const lost = () => {
      if (this.closed || this.client !== client) return;
      this.client = null;
      void client.end().catch(() => undefined);
      this.again = setTimeout(() => void this.listen(), AGAIN_AFTER_MS);
    };
    client.on('error', lost);
    client.on('end', lost);
    client.on('notification', ({ payload }) => {
      if (payload) this.changes.next(JSON.parse(payload) as CollectionChanged);
    });
    try {
      await client.connect();
      await client.query(`LISTEN ${CHANNEL}`);
    } catch (error) {
      this.log.warn(`Changes of other servers are not heard of: ${String(error)}`);
      lost();
    }
  }
}
