import { CliError } from './CliError.js';
import { program } from './program.js';

try {
  await program((text) => console.log(text)).parseAsync();
} catch (error) {
  console.error(error instanceof CliError ? error.message : error);
  process.exitCode = 1;
}
