import { performance } from 'node:perf_hooks'

/** How long is waited for the next value while nothing is worked at. */
const PATIENCE_MS = 4000
/** Less work than this share of the time is none. */
const IDLE = 0.01

/**
 * Values as they come. Where the next is still not there when this thread has nothing to do any more, it will never come: that
 * is a fault, while a slow machine at work is not.
 * @throws Error where it does not go on
 */
export async function* whileAtWork<T>(
  values: AsyncIterable<T>,
  patienceMs = PATIENCE_MS,
): AsyncGenerator<T> {
  const iterator = values[Symbol.asyncIterator]()
  for (;;) {
    let timer: ReturnType<typeof setInterval> | undefined
    const stuck = new Promise<never>((_, fail) => {
      let before = performance.eventLoopUtilization()
      timer = setInterval(() => {
        const now = performance.eventLoopUtilization()
        if (now.active - before.active < IDLE * patienceMs) fail(new Error('it does not go on'))
        before = now
      }, patienceMs)
    })
    try {
      const { done, value } = await Promise.race([iterator.next(), stuck])
      if (done) return
      yield value
    } finally {
      clearInterval(timer)
    }
  }
}
