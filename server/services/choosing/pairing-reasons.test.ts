import { afterAll, beforeAll, expect, test } from 'vitest'
import type { PairingReasons, WeighedPairing } from '../../../contract/pairing-reasons.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { summaryToHtml } from '../../documents/summary-html.ts'
import { summaryToPdf } from '../../documents/summary-pdf.ts'
import { copyBuild } from '../builds/copy-build.ts'
import { partsList } from '../planning/parts-list.ts'
import { againstView } from './against.ts'
import { buildHeader } from './build-header.ts'
import { summaryView } from './owner-summary.ts'
import { choosePairing } from './pairing-choice.ts'
import { changeOf, choiceView, reopenChoice, sayWhy, seeChoice } from './pairing-reasons.ts'

let knex: Database
let store: Store
beforeAll(async () => {
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(() => knex.destroy())

const weighed = (engineId: string, minor: number | null): WeighedPairing => ({
  engineId,
  transmissionId: 'box',
  transferId: null,
  name: engineId,
  minor,
  out: minor === null ? 'a joint clashes' : null,
  money: null,
  open: 0,
})
const reasons = (chosen: number, ...beat: number[]): PairingReasons => ({
  on: '2026-11-29',
  because: null,
  chosen: weighed('a', chosen),
  beat: beat.map((minor, i) => weighed(`b${i}`, minor)),
  unknown: [],
  told: null,
})

test('a choice is told to be another where the order turned, by more than prices move any day, or where it is out', () => {
  const said = reasons(1000, 1100, 1300)
  expect(changeOf(said, weighed('a', 1200), weighed('b0', 1100))?.savesMinor).toBe(100)
  expect(changeOf(said, weighed('a', 1105), weighed('b0', 1100))).toBeNull()
  expect(changeOf(said, weighed('a', 1000), weighed('b0', 1100))).toBeNull()
  expect(changeOf(said, weighed('a', null), weighed('b0', 1100))?.savesMinor).toBeNull()
  // Chosen though another was cheaper: that was known.
  expect(changeOf(reasons(1000, 900), weighed('a', 1000), weighed('b0', 900))).toBeNull()
  expect(changeOf({ ...said, told: 'b0|box|' }, weighed('a', 1200), weighed('b0', 1100))).toBeNull()
})

test('choosing keeps why: what it came to, what it beat, what was not known; a price that turns it is told once', async () => {
  await choosePairing(store, 'lantern', { engineId: 'wick-3', transmissionId: 'marlund-4' })
  const { reasons: kept, changed } = await choiceView(store, 'lantern')
  expect(kept).toMatchObject({ chosen: { engineId: 'wick-3', transmissionId: 'marlund-4' } })
  expect(kept!.beat.length).toBeGreaterThan(0)
  expect(kept!.unknown.length).toBeGreaterThan(0)
  expect(changed).toBeNull()
  await sayWhy(store, 'lantern', 'Had here already.')
  // Stands before the best of the others, until it becomes dear.
  const [row] = await store.list('pairing', { buildId: 'lantern', chosen: true })
  await store.transaction((tx) =>
    tx.update('pairing', row!.id, row!.version, {
      reasons: {
        ...row!.reasons,
        chosen: { ...row!.reasons!.chosen, minor: 1 },
        beat: row!.reasons!.beat.map((one) => ({ ...one, minor: 2 })),
      },
    }),
  )
  const { changed: turned } = await choiceView(store, 'lantern')
  expect(turned?.winner.minor).toBeLessThan(turned!.now.minor!)
  await seeChoice(store, 'lantern', turned!.winner)
  expect((await choiceView(store, 'lantern')).changed).toBeNull()
  await reopenChoice(store, 'lantern')
  expect((await buildHeader(store, 'lantern')).pairing).toBeNull()
  const [open] = await store.list('pairing', {
    buildId: 'lantern',
    engineId: 'wick-3',
    transmissionId: 'marlund-4',
  })
  expect(open?.reasons?.because ?? row!.reasons!.because).toBe('Had here already.')
})

test('chosen as it is listed, set back, the build is placed so, and its reasons are of that placement', async () => {
  const { school } = await store.get('build', 'sprat')
  expect(school).toBe('keep')
  await choosePairing(store, 'sprat', {
    engineId: 'tarn-2',
    transmissionId: 'obrelle-5x',
    school: 'set-back',
  })
  expect((await store.get('build', 'sprat')).school).toBe('set-back')
  const { reasons: kept, changed } = await choiceView(store, 'sprat')
  expect([kept!.chosen.engineId, changed]).toEqual(['tarn-2', null])
  // The same pair, placed as before: weighed anew, for it comes to something else.
  await choosePairing(store, 'sprat', {
    engineId: 'tarn-2',
    transmissionId: 'obrelle-5x',
    school: 'keep',
  })
  expect((await store.get('build', 'sprat')).school).toBe('keep')
})

test('a copy has all that was decided and measured for it, reads alike and hangs on nothing of the first', async () => {
  const copy = await copyBuild(store, 'alder', 'Alder again', false)
  const [first, second] = [await partsList(store, 'alder'), await partsList(store, copy.id)]
  const told = ({ lines }: typeof first) => lines.map(({ id, words, state }) => [id, words, state])
  const plain = (list: typeof first) =>
    told(list).map(([id, words, state]) => [id, words, state === 'planned' ? 'to solve' : state])
  expect(plain(second).length).toBe(plain(first).length)
  expect(second.pairing).toBe(first.pairing)
  for (const table of ['pairing', 'decision', 'buildSheet', 'donorSheet', 'specimen'] as const)
    expect([table, (await store.list(table, { buildId: copy.id })).length]).toEqual([
      table,
      (await store.list(table, { buildId: 'alder' })).length,
    ])
  expect(await store.list('plan', { buildId: copy.id })).toEqual([])
})

test('a branch has the same vehicle and no pairing; chosen, the two are held against each other line by line', async () => {
  const branch = await copyBuild(store, 'alder', 'Alder, other engine', true)
  expect((await buildHeader(store, branch.id)).pairing).toBeNull()
  await choosePairing(store, branch.id, { engineId: 'ember-3', transmissionId: 'dovrek-5t' })
  const { a, b, lines, alike } = await againstView(store, 'alder', branch.id)
  expect([a.pairing === b.pairing, a.likely === null, b.likely === null]).toEqual([
    false,
    false,
    false,
  ])
  expect(alike).toBeGreaterThan(20)
  expect(lines.length).toBeGreaterThan(5)
  for (const line of lines) expect(line.a === null && line.b === null).toBe(false)
  const itself = await againstView(store, 'alder', 'alder')
  expect(itself.lines).toEqual([])
})

test('the page for the owner names no supplier and no hours, and goes out as one file that fetches nothing', async () => {
  const summary = await summaryView(store, 'alder')
  const html = summaryToHtml({ ...summary, title: 'Alder <script>' })
  expect(html).toContain('Alder &#60;script&#62;')
  expect(html).not.toMatch(/<script|https?:|src=|href=/)
  for (const { name } of await store.list('supplier')) expect(html).not.toContain(name)
  expect(html).not.toMatch(/\bhours?\b/i)
  const pdf = await summaryToPdf(summary, 'A4')
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  // One page.
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
})
