import { spawnSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Sqlite from 'better-sqlite3'
import { expect, expectAccessible, startJunket, test } from './junket.ts'

const ROUNDS = 20
/** A fixed series of pauses between 20 and 260 ms: each kill comes at another moment of the work. */
const pauseMs = (round: number): number => 20 + ((round * 97) % 241)

test(`kill -9 × ${ROUNDS} while three write loses nothing acknowledged`, async () => {
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
    const { items } = (await (await fetch(`${junket.url}/api/suppliers`)).json()) as {
      items: { name: string }[]
    }
    const stored = new Set(items.map((one) => one.name))
    expect(acknowledged.filter((name) => !stored.has(name))).toEqual([])
  }
  expect(acknowledged.length).toBeGreaterThan(ROUNDS)
  await junket.stop()
})

test('a stop by signal is graceful, and the data is there at the next start', async () => {
  const first = await startJunket()
  await fetch(`${first.url}/api/suppliers`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Kept', currency: 'EUR' }),
  })
  await first.stop('SIGTERM')
  expect(first.process.exitCode).toBe(0)
  const second = await startJunket({ data: first.data })
  expect(
    (await (await fetch(`${second.url}/api/suppliers`)).json()).items.map(
      (one: { name: string }) => one.name,
    ),
  ).toEqual(['Kept'])
  await second.stop()
})

test('a host beyond this machine is refused without a passcode, with the reason', () => {
  const { status, stderr } = spawnSync(process.execPath, ['dist/server/main.js'], {
    env: { ...process.env, JUNKET_HOST: '0.0.0.0' },
    encoding: 'utf8',
  })
  expect(status).toBe(2)
  expect(stderr).toContain('no passcode is set')
})

test('a start on damaged data names the backup that is sound; its command puts it back, and one spoilt row is mended on the page', async ({
  page,
}) => {
  const first = await startJunket({ demo: true })
  const { name } = (await (await fetch(`${first.url}/api/backups`, { method: 'POST' })).json()) as {
    name: string
  }
  await first.stop()
  const file = join(first.data, 'junket.sqlite')
  writeFileSync(file, readFileSync(file).fill(0xa5, 12_000, 120_000))
  const refused = spawnSync(process.execPath, ['dist/server/main.js'], {
    env: { ...process.env, JUNKET_DATA: first.data, JUNKET_PORT: '0' },
    encoding: 'utf8',
  })
  expect(refused.status).toBe(3)
  expect(refused.stderr).toContain(`npm start -- --restore ${name}`)
  const restored = await startJunket({ data: first.data, args: ['--restore', name] })
  await restored.stop()

  const data = new Sqlite(file)
  data.exec("UPDATE supplier SET currency = 'ZZZ' WHERE id = 'harbour'")
  data.close()
  const junket = await startJunket({ data: first.data })
  await page.goto(junket.url)
  await expect(
    page.getByText(/could not be read and is left out of everything here: Harbour Parts/),
  ).toBeVisible()
  await expect(page.getByRole('link', { name: 'Lantern' })).toBeVisible()
  await page.getByRole('link', { name: /Mend it in People and safekeeping/ }).press('Enter')
  await page.getByLabel('currency').fill('EURO')
  await page.getByLabel('currency').press('Enter')
  await expect(page.getByText(/ISO 4217/).last()).toBeVisible()
  await expectAccessible(page)
  await page.getByLabel('currency').fill('EUR')
  await page.getByLabel('currency').press('Enter')
  await expect(page.getByText('Harbour Parts is mended.')).toBeVisible()
  await expect(page.getByText(/could not be read/)).toBeHidden()
  await junket.stop()
})
