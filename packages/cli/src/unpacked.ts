import wawoff2 from 'wawoff2';

let turn: Promise<unknown> = Promise.resolve();

/** A compressed font as it was. The package has one memory, which the next call writes over: one goes after the other. */
export function unpacked(bytes: Buffer): Promise<Buffer> {
  const mine = turn.then(async () => Buffer.from(await wawoff2.decompress(bytes)));
  turn = mine.catch(() => undefined);
  return mine;
}
