export interface RunningPostgres {
  url(database: string): string;
  readonly port: number;
  readonly folder: string;
  readonly said: string;
  readonly adopted: boolean;
  isAlive(): boolean;
  stop(): Promise<void>;
}

export function startPostgres(name: string, preferredPort?: number): Promise<RunningPostgres>;
