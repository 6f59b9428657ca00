// Loaded before the application where its main thread is watched: the longest delay of a timer, written to a file; SIGUSR2 begins anew.
import { writeFileSync } from 'node:fs'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { isMainThread } from 'node:worker_threads'

if (isMainThread) {
  const delays = monitorEventLoopDelay({ resolution: 1 })
  delays.enable()
  process.on('SIGUSR2', () => delays.reset())
  setInterval(
    () =>
      writeFileSync(
        process.env.JUNKET_DELAY_FILE,
        JSON.stringify({ longestMs: delays.max / 1e6, p99Ms: delays.percentile(99) / 1e6 }),
      ),
    250,
  ).unref()
}
