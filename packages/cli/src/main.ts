import { CommanderError } from 'commander';
import { said, STATUS } from './CliError.js';
import { program } from './program.js';

try {
  await program((text) => console.log(text)).parseAsync();
} catch (error) {
  // Commander has said what was wrong with the words, or has shown the help that was asked for.
  if (error instanceof CommanderError) process.exitCode = error.exitCode === 0 ? STATUS.done : STATUS.failed;
  else {
    console.error(said(error));
    process.exitCode = STATUS.failed;
  }
}
