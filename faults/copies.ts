import { mkdtempSync, readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Sqlite from 'better-sqlite3'
import { post, serve } from '../bench/served.ts'
import { type Outcome, Trial } from './outcome.ts'

const ROUNDS = 20

/** Backups and restores while four write without a pause: each acknowledged write is in the data or in what was kept. */
export async function copied(): Promise<Outcome> {
  const trial = new Trial('backups and restores under writing')
  const data = mkdtempSync(join(tmpdir(), 'junket-copies-'))
  const served = await serve(data, { demo: true })
  const acknowledged: string[] = []
  let isWriting = true
  let longest = 0
  const writers = Array.from({ length: 4 }, async (_, writer) => {
    for (let i = 0; isWriting; i++) {
      const name = `Writer ${writer}-${i}`
      const from = performance.now()
      const answer = await post(served.url, '/suppliers', { name, currency: 'EUR' })
      longest = Math.max(longest, performance.now() - from)
      trial.expect(answer.ok, `a write was answered with ${answer.status}`)
      if (answer.ok) acknowledged.push(name)
    }
  })
  for (let round = 0; round < ROUNDS; round++) {
    const made = await post(served.url, '/backups', {})
    trial.expect(made.ok, `backup ${round} was answered with ${made.status}`)
    const { name } = (await made.json()) as { name: string }
    if (round % 2 === 0) continue
    const restored = await post(served.url, `/backups/${name}/restore`, {})
    trial.expect(
      restored.ok,
      `restore ${round} was answered with ${restored.status}: ${restored.ok ? '' : await restored.text()}`,
    )
  }
  isWriting = false
  await Promise.all(writers)
  await served.stop()
  trial.expect(longest < 5000, `somebody waited ${Math.round(longest)} ms for a restore`)
  const folder = join(data, 'backups')
  const beside = readdirSync(folder).filter((name) => !name.endsWith('.sqlite'))
  trial.expect(beside.length === 0, `left beside the backups: ${beside.join(', ')}`)
  const found = new Set<string>()
  for (const file of [
    join(data, 'junket.sqlite'),
    ...readdirSync(folder).map((name) => join(folder, name)),
  ]) {
    const copy = new Sqlite(file, { readonly: true })
    const [check] = copy.pragma('integrity_check(1)') as { integrity_check: string }[]
    trial.expect(check?.integrity_check === 'ok', `${file} is damaged`)
    for (const { name } of copy.prepare('SELECT name FROM supplier').all() as { name: string }[])
      found.add(name)
    copy.close()
  }
  const lost = acknowledged.filter((name) => !found.has(name))
  trial.expect(
    lost.length === 0,
    `${lost.length} of ${acknowledged.length} acknowledged writes are in no file`,
  )
  console.log(
    `  ${acknowledged.length} writes acknowledged; the longest took ${Math.round(longest)} ms`,
  )
  return trial.outcome
}
