import { createServer } from 'node:net';

const isFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen({ port, host: '127.0.0.1', exclusive: true }, () => probe.close(() => resolve(true)));
  });

/** The first free loopback port at or after `preferred`. */
export async function freePort(preferred) {
  for (let port = preferred; port < preferred + 200; port++) if (await isFree(port)) return port;
  throw new Error(`No free port from ${preferred} to ${preferred + 199}.`);
}

/** Another program took a port between the moment it was found free and the moment it was to be used. */
export class PortTaken extends Error {
  constructor(port) {
    super(`Port ${port} is in use.`);
    this.port = port;
  }
}

/**
 * Does something with a free port, and again with the next one when that was taken meanwhile.
 * @template Result
 * @param {number} preferred
 * @param {(port: number) => Promise<Result>} work throws PortTaken
 * @returns {Promise<number>} the port with which it was done
 */
export async function withFreePort(preferred, work) {
  for (let from = preferred; ;) {
    const port = await freePort(from);
    try {
      await work(port);
      return port;
    } catch (error) {
      if (!(error instanceof PortTaken) || from > preferred + 150) throw error;
      from = port + 1;
    }
  }
}
