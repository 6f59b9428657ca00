import { spawnSync } from 'node:child_process'
import { expect, startJunket, test } from './junket.ts'

test('kill -9 while writing loses nothing acknowledged', async () => {
  let junket = await startJunket()
  const acknowledged: string[] = []
  for (let round = 0; round < 5; round++) {
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
    await new Promise((done) => setTimeout(done, 150 + 130 * round))
    await junket.stop('SIGKILL')
    writing = false
    await Promise.all(writers)
    junket = await startJunket({ data: junket.data })
    const { items } = (await (await fetch(`${junket.url}/api/suppliers`)).json()) as { items: { name: string }[] }
    const stored = new Set(items.map((one) => one.name))
    expect(acknowledged.filter((name) => !stored.has(name))).toEqual([])
  }
  expect(acknowledged.length).toBeGreaterThan(5)
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

test('any host but this machine is refused with the reason', () => {
  const { status, stderr } = spawnSync(process.execPath, ['dist/server/main.js'], { env: { ...process.env, JUNKET_HOST: '0.0.0.0' }, encoding: 'utf8' })
  expect(status).toBe(2)
  expect(stderr).toContain('no passcode yet')
})
