import { setImmediate } from 'node:timers/promises'
import { expect, test } from 'vitest'
import { whileAtWork } from './while-at-work.ts'

const PATIENCE_MS = 200

async function* after(work: () => Promise<unknown>): AsyncGenerator<number> {
  yield 1
  await work()
  yield 2
}
async function read(work: () => Promise<unknown>): Promise<number[]> {
  const values: number[] = []
  for await (const value of whileAtWork(after(work), PATIENCE_MS)) values.push(value)
  return values
}

test('what is worked at for long is waited for; what will never come is not', async () => {
  const until = performance.now() + 4 * PATIENCE_MS
  expect(
    await read(async () => {
      while (performance.now() < until) await setImmediate()
    }),
  ).toEqual([1, 2])
  await expect(read(() => new Promise(() => undefined))).rejects.toThrow('does not go on')
})
