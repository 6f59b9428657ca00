import { type ChildProcess, fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'

/** Starts the simulated suppliers' service on a port; it ends with this process. */
export const startPriceFeed = (port: number): ChildProcess =>
  fork(fileURLToPath(new URL('./price-feed.js', import.meta.url)), [String(port)])
