import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import type { Server } from 'node:http';

/** How long requests under way are waited for when the server stops, ms. */
const PATIENCE_MS = 3000;

/** Lets requests under way come to their end when the server stops, but waits for nobody for long. */
@Injectable()
export class LastAnswers implements BeforeApplicationShutdown {
  constructor(private readonly host: HttpAdapterHost) {}

  beforeApplicationShutdown(): void {
    const server = this.host.httpAdapter.getHttpServer() as Server;
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), PATIENCE_MS).unref();
  }
}
