import { afterAll, beforeAll, expect, test } from 'vitest'
import { ownLinesInput } from '../../../contract/rows.ts'
import { recipeSchema } from '../../../core/needs/recipe.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { answerFact } from '../builds/answer-fact.ts'
import { questionsOf } from '../planning/known.ts'
import { partsList } from '../planning/parts-list.ts'
import { planBuild } from '../planning/planning.ts'
import { totals } from '../planning/totals.ts'
import { whatIf } from './what-if.ts'

let knex: Database
let store: Store

beforeAll(async () => {
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(() => knex.destroy())

test('what is written by hand counts at its price and as far as it is; what is had costs nothing', async () => {
  const middle = async (): Promise<number> => totals(await planBuild(store, 'alder'))!.middleMinor
  const before = await middle()
  const write = (line: object) =>
    Promise.all(
      ownLinesInput
        .parse({ lines: [{ words: 'Winch', place: 'front', ...line }] })
        .lines.map((one) => store.insert('ownLine', { ...one, buildId: 'alder' })),
    )
  const [had] = await write({
    priceMinor: 900_000,
    state: 'had',
    person: 'Ada',
    note: 'In the loft',
  })
  // Another line is another draw: as near as draws are to one another.
  const near = 0.03 * before
  expect(Math.abs((await middle()) - before)).toBeLessThan(near)
  const [paid] = await write({ priceMinor: 500_000, state: 'paid' })
  expect(Math.abs((await middle()) - before - 500_000)).toBeLessThan(near)
  const [priced] = await write({ priceMinor: 200_000 })
  expect(Math.abs((await middle()) - before - 700_000)).toBeLessThan(near + 60_000)
  const { lines } = await partsList(store, 'alder')
  const states = [had, paid, priced].map((own) =>
    lines.find(({ kind }) => kind === `own:${own!.id}`),
  )
  expect(states.map((line) => line?.state)).toEqual(['here', 'ordered', 'estimated'])
  expect(states[0]?.given).toEqual({ to: 'Ada', note: 'In the loft' })
})

test('a known fault of an engine is a fact of every build it is in, with its lines; of another build it is nothing', async () => {
  const of = async (id: string) => planBuild(store, id)
  const engineId = (await of('lantern')).run!.train.engine.id
  await store.insert('recipe', {
    name: 'Cam wears',
    body: recipeSchema.parse({
      id: 'cam-wears',
      ofPart: engineId,
      isFault: true,
      when: { is: 'engine.fault', of: ['yes'] },
      add: [{ kind: 'shop:cam', words: 'Camshaft and followers', eur: [90, 140, 220] }],
    }),
  })
  const [here, elsewhere] = [await of('lantern'), await of('sprat')]
  expect(here.facts['engine.fault']).toEqual({ value: 'yes', from: 'notes of the shop' })
  expect(here.needs.find(({ kind }) => kind === 'shop:cam')).toMatchObject({
    words: 'Camshaft and followers',
    eur: [90, 140, 220],
    why: [{ words: 'Known fault, from the notes of the shop' }],
  })
  expect(elsewhere.needs.some(({ kind }) => kind === 'shop:cam')).toBe(false)
})

test('a what-if is what doing it comes to, with lines written by hand kept; it writes nothing', async () => {
  for (const line of ownLinesInput.parse({ lines: [{ words: 'Badge for the boot lid' }] }).lines)
    await store.insert('ownLine', { ...line, buildId: 'lantern' })
  const asked = questionsOf(await planBuild(store, 'lantern'))
    .filter(({ key }) => !key.startsWith('engine.') && !key.startsWith('gearbox.'))
    .slice(0, 6)
  expect(asked.length).toBe(6)
  for (const [i, { key, values }] of asked.entries()) {
    const value = values[i % values.length]!
    const before = await planBuild(store, 'lantern')
    const seen = await whatIf(store, 'lantern', { facts: { [key]: value } })
    expect((await planBuild(store, 'lantern')).facts).toEqual(before.facts)
    await answerFact(store, 'lantern', { key, value, by: null })
    const after = await planBuild(store, 'lantern')
    const [was, is] = [before, after].map(({ needs }) => new Set(needs.map(({ id }) => id)))
    expect(seen.comes.map(({ id }) => id).sort(), key).toEqual(
      [...is!].filter((id) => !was!.has(id)).sort(),
    )
    expect(seen.goes.map(({ id }) => id).sort(), key).toEqual(
      [...was!].filter((id) => !is!.has(id)).sort(),
    )
    expect([seen.after.likely, seen.after.middleMinor], key).toEqual([
      totals(after)!.likely,
      totals(after)!.middleMinor,
    ])
  }
})

test('a line of the shop’s own moves the question it hangs on as any other', async () => {
  const asked = questionsOf(await planBuild(store, 'sprat'))
  const { key, values, spreadMinor } = asked.at(-1)!
  await store.insert('recipe', {
    name: 'Dear',
    body: recipeSchema.parse({
      id: 'dear',
      when: { is: key, of: [values[0]] },
      add: [{ kind: 'shop:dear', words: 'Something dear', eur: [5000, 5000, 5000] }],
    }),
  })
  const after = questionsOf(await planBuild(store, 'sprat'))
  const moved = after.find((one) => one.key === key)!
  expect(moved.lines.map(({ words }) => words)).toContain('Something dear')
  expect(moved.spreadMinor).toBeGreaterThan(spreadMinor + 300_000)
  expect(after[0]!.key).toBe(key)
})
