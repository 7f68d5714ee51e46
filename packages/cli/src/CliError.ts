/** An error for the person at the command line: said in a sentence, without a stack. */
export class CliError extends Error {}
