export interface RunningServer {
  readonly url: string;
  readonly said: readonly string[];
  stop(): Promise<void>;
}

export function startServer(options: {
  databaseUrl: string;
  port: number;
  demo?: boolean;
}): Promise<RunningServer>;
