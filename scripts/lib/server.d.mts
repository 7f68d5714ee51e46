import type { ChildProcess } from 'node:child_process';

export interface RunningServer {
  readonly url: string;
  readonly said: readonly string[];
  readonly child: ChildProcess;
  stop(): Promise<void>;
}

export function startServer(options: {
  databaseUrl: string;
  port: number;
  demo?: boolean;
}): Promise<RunningServer>;
