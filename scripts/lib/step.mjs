/** A failure that the person can mend; its message says how. */
export class SetupError extends Error {}

/** Runs one step and prints one line for it, with its time. */
export async function step(name, work) {
  const start = Date.now();
  if (process.stdout.isTTY) process.stdout.write(`  ${name} …`);
  try {
    const said = await work();
    line(name, said, start);
    return said;
  } catch (error) {
    line(name, 'failed', start);
    throw error;
  }
}

function line(name, said, start) {
  const seconds = ((Date.now() - start) / 1000).toFixed(1);
  const words = typeof said === 'string' ? said : 'done';
  process.stdout.write(`${process.stdout.isTTY ? '\r\x1b[K' : ''}  ${name}: ${words} (${seconds} s)\n`);
}

/** Prints what went wrong without a stack when the person can mend it, and ends with status 1. */
export function fail(error) {
  console.error(error instanceof SetupError ? `\n${error.message}` : error);
  process.exit(1);
}
