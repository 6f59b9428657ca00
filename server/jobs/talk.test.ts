import { MessageChannel } from 'node:worker_threads'
import { expect, test } from 'vitest'
import { Talk } from './talk.ts'

test('all that was said is heard in order, also after the thread ended; after it, that it ended', async () => {
  const { port1, port2 } = new MessageChannel()
  const talk = new Talk<string, number>(port1, Promise.resolve(null))
  for (const n of [1, 2, 3]) port2.postMessage(n)
  expect(await talk.next()).toBe(1)
  port2.close()
  expect([await talk.next(), await talk.next()]).toEqual([2, 3])
  await expect(talk.next()).rejects.toThrow('ended before it answered')
})

test('what a thread failed with is told to whoever waits', async () => {
  const { port1, port2 } = new MessageChannel()
  let fail = (_: { error: unknown }): void => {}
  const talk = new Talk<string, number>(port1, new Promise((ended) => (fail = ended)))
  const waiting = talk.next()
  fail({ error: new Error('out of memory') })
  await expect(waiting).rejects.toThrow('out of memory')
  port2.close()
})
