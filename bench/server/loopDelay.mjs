// Put in front of the server with --import: tells its event loop's delay on SIGUSR2, and begins anew.
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

if (isMainThread) {
  const delay = monitorEventLoopDelay({ resolution: 2 });
  delay.enable();
  process.on('SIGUSR2', () => {
    const ms = (ns) => Number((ns / 1e6).toFixed(1));
    process.stdout.write(
      `LOOP ${JSON.stringify({ p50: ms(delay.percentile(50)), p99: ms(delay.percentile(99)), max: ms(delay.max) })}\n`,
    );
    delay.reset();
  });
}
