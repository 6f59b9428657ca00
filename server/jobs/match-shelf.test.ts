import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { matchPatterns } from '../../core/joints/search/correspondence.ts'
import { SEARCH } from '../../core/joints/search/pattern-match.ts'
import type { Hole } from '../../core/ports/field.ts'
import { demoDocument } from '../../demo/index.ts'
import { openDatabase } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { importDocument } from '../services/builds/build-document.ts'
import { readMatches, writeMatches } from './match-shelf.ts'
import { ReadingThread } from './reading-thread.ts'

/** Rings of five to nine holes, none the same, and one of none. */
const rings = [0, 5, 6, 7, 8, 9].map((count) =>
  Array.from(
    { length: count },
    (_, i): Hole => ({ x: 150 * Math.cos(i * i * count), y: 150 * Math.sin(i * i * count), d: 10 }),
  ),
)

test('what is read back is what was found, to the last bit; what another search found is not taken', async () => {
  const knex = await openDatabase(':memory:')
  const written: Promise<void>[] = []
  const shelf = await readMatches(knex, (found) => written.push(writeMatches(knex, found)))
  const asked = rings.flatMap((a) => rings.map((b) => [a, b] as const))
  for (const [a, b] of asked) shelf.keep(JSON.stringify([a, b]), matchPatterns(a, b, [], [], 0.1))
  await expect.poll(() => written.length).toBe(1)
  await Promise.all(written)
  await writeMatches(knex, [])
  const again = await readMatches(knex, () => undefined)
  for (const [a, b] of asked)
    expect(again.find(JSON.stringify([a, b]))).toEqual(matchPatterns(a, b, [], [], 0.1))
  await knex('patternMatch').update({ search: SEARCH - 1 })
  const older = await readMatches(knex, () => undefined)
  expect(older.find(JSON.stringify(asked[0]))).toBeUndefined()
  await writeMatches(knex, [])
  expect(await knex('patternMatch').select()).toEqual([])
  await knex.destroy()
})

test('a reading that searches leaves its matches in the database, and the next start answers the same from them', async () => {
  const knex = await openDatabase(
    join(mkdtempSync(join(tmpdir(), 'junket-matches-')), 'junket.sqlite'),
  )
  const store = new Store(knex)
  await importDocument(store, demoDocument())
  const readings = new ReadingThread()
  const count = async (): Promise<number> =>
    Number((await knex('patternMatch').count({ n: '*' }))[0]!.n)
  const first = await readings.ask(store, 'pairings', 'lantern')
  await expect.poll(count).toBeGreaterThan(20)
  await new Promise((late) => setTimeout(late, 1000))
  const [before] = await Promise.all([count(), readings.close()])
  const history = await knex('history').count({ n: '*' })
  expect(await readings.ask(store, 'pairings', 'lantern')).toEqual(first)
  await new Promise((late) => setTimeout(late, 1000))
  expect(await count()).toBe(before)
  expect(await knex('history').count({ n: '*' })).toEqual(history)
  await readings.close()
  await knex.destroy()
})

/** What the search finds of fixed patterns; where it changes, SEARCH is to be raised, or old finds are taken for new. */
test('the search answers as its number says', () => {
  const found = rings
    .flatMap((a) => rings.map((b) => matchPatterns(a, b, [], [], 0.1)))
    .map(({ met, turnDeg }) => `${met.length}@${turnDeg.toFixed(1)}`)
  expect([SEARCH, found.join(' ')]).toMatchInlineSnapshot(`
    [
      2,
      "0@0.0 0@0.0 0@0.0 0@0.0 0@0.0 0@0.0 0@0.0 5@0.0 1@0.0 2@74.0 2@-55.8 2@-0.3 0@0.0 1@0.0 6@0.0 2@-64.4 2@0.5 3@139.6 0@0.0 2@-74.0 2@64.4 7@0.0 2@-0.5 3@38.8 0@0.0 2@55.8 2@-0.5 2@0.5 8@0.0 4@97.7 0@0.0 2@0.3 3@-139.6 3@-38.8 4@-97.7 9@0.0",
    ]
  `)
})
