import { expect, test } from 'vitest'
import { demoDatabase } from '../server/database/demo.seed.ts'
import { Store } from '../server/database/store.ts'
import { partsList } from '../server/services/planning/parts-list.ts'
import { planBuild } from '../server/services/planning/planning.ts'

test('at least seven in ten of what Lantern needs have a number or a listing that speaks, and every verdict occurs', async () => {
  const store = new Store(await demoDatabase())
  const { lines } = await partsList(store, 'lantern')
  const parts = lines.filter(({ sort, outcome }) => sort === 'part' && outcome === 'yes')
  const speaking = parts.filter(({ candidates }) =>
    candidates.some(({ number }) => !['no number wanted', 'not listed'].includes(number.says)),
  )
  expect(speaking.length / parts.length).toBeGreaterThanOrEqual(0.7)
  const { gathered, view } = await planBuild(store, 'lantern')
  const { serving } = view.catalogue.trade
  const refused = gathered.excluded.map(({ why }) => why).join('\n')
  const said = new Set(
    lines.flatMap(({ candidates }) => candidates.map(({ number }) => number.says)),
  )
  // What is not planned is told with its reason.
  expect(refused).toMatch(/Engine computer|811\.4 C: by its number not listed/)
  expect(refused).toMatch(/520\.2: by its number with note, without 1 × KSN 520\.3/)
  expect(refused).toMatch(/630\.3: by its number different generation/)
  expect(refused).toMatch(/170\.6: by its number conflict/)
  for (const word of ['exact', 'superseded by', 'interchange', 'not listed'] as const)
    expect([word, said.has(word)]).toEqual([word, true])
  // A letter O is another number, and is told as what it is mistaken for.
  const mistaken = lines.flatMap(({ candidates }) =>
    candidates.flatMap(({ number }) => number.cautions),
  )
  expect(mistaken).toContain('KSN 34O.2 is easily mistaken for KSN 340.2: look again.')
  expect(serving.lookAlikes('KSN', '34O2').map(({ key }) => key)).toEqual(['3402'])
})

test('nothing that a number forbids is among what is planned', async () => {
  const store = new Store(await demoDatabase())
  for (const build of ['lantern', 'alder', 'sprat'])
    for (const { candidates } of (await partsList(store, build)).lines)
      expect(candidates.filter(({ number }) => number.plan === 'no')).toEqual([])
})
