import type { Reporter, TestModule } from 'vitest/node';

/**
 * One closing line that a machine can read; a file that cannot be imported counts as a failure. What passed only when it
 * was tried once more is named.
 */
export default class SummaryReporter implements Reporter {
  onTestRunEnd(modules: readonly TestModule[]): void {
    let [passed, failed, skipped] = [0, 0, 0];
    for (const module of modules) {
      if (module.errors().length > 0) failed++;
      for (const test of module.children.allTests()) {
        const { state } = test.result();
        if (test.diagnostic()?.flaky) console.log(`passed at the second attempt: ${test.fullName}`);
        if (state === 'passed') passed++;
        else if (state === 'failed') failed++;
        else skipped++;
      }
    }
    console.log(`${passed} passed, ${failed} failed, ${skipped} skipped`);
  }
}
