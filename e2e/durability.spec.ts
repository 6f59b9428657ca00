import { spawnSync } from 'node:child_process'
import { expect, startJunket, test } from './junket.ts'

const ROUNDS = 50
/** A fixed series of pauses between 20 and 260 ms: each kill comes at another moment of the work. */
const pauseMs = (round: number): number => 20 + ((round * 97) % 241)

test(`kill -9 × ${ROUNDS} while three write loses nothing acknowledged`, async () => {
  test.setTimeout(240_000)
  let junket = await startJunket()
  const acknowledged: string[] = []
  for (let round = 0; round < ROUNDS; round++) {
    let writing = true
    const writers = [0, 1, 2].map(async (writer) => {
      for (let i = 0; writing; i++) {
        const name = `Supplier ${round}-${writer}-${i}`
        try {
          const answer = await fetch(`${junket.url}/api/suppliers`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ name, currency: 'EUR' }),
          })
          if (answer.ok) acknowledged.push(name)
        } catch {
          return
        }
      }
    })
    await new Promise((done) => setTimeout(done, pauseMs(round)))
    await junket.stop('SIGKILL')
    writing = false
    await Promise.all(writers)
    junket = await startJunket({ data: junket.data })
    const { items } = (await (await fetch(`${junket.url}/api/suppliers`)).json()) as { items: { name: string }[] }
    const stored = new Set(items.map((one) => one.name))
    expect(acknowledged.filter((name) => !stored.has(name))).toEqual([])
  }
  expect(acknowledged.length).toBeGreaterThan(ROUNDS)
  await junket.stop()
})

test('a stop by signal is graceful, and the data is there at the next start', async () => {
  const first = await startJunket()
  await fetch(`${first.url}/api/suppliers`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ name: 'Kept', currency: 'EUR' }) })
  await first.stop('SIGTERM')
  expect(first.process.exitCode).toBe(0)
  const second = await startJunket({ data: first.data })
  expect((await (await fetch(`${second.url}/api/suppliers`)).json()).items.map((one: { name: string }) => one.name)).toEqual(['Kept'])
  await second.stop()
})

test('a host beyond this machine is refused without a passcode, with the reason', () => {
  const { status, stderr } = spawnSync(process.execPath, ['dist/server/main.js'], { env: { ...process.env, JUNKET_HOST: '0.0.0.0' }, encoding: 'utf8' })
  expect(status).toBe(2)
  expect(stderr).toContain('no passcode is set')
})
