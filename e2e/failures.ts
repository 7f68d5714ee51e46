import type { FullResult, Reporter, TestCase, TestError } from '@playwright/test/reporter';

/** Says at the end of a run what each failed test said first: the end is what is read and kept. */
export default class Failures implements Reporter {
  private readonly failed = new Map<TestCase, readonly TestError[]>();

  onTestEnd(test: TestCase, result: { readonly errors: readonly TestError[] }): void {
    if (result.errors.length > 0) this.failed.set(test, result.errors);
  }

  onEnd(_: FullResult): void {
    for (const [test, errors] of this.failed) {
      console.log(`\nFailed: ${test.titlePath().filter(Boolean).join(' › ')}`);
      for (const { message = '', snippet = '' } of errors)
        console.log(`${message.slice(0, 1500)}\n${snippet}`);
    }
  }

  printsToStdio(): boolean {
    return false;
  }
}
