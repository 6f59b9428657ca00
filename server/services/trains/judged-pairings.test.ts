import { beforeEach, expect, test } from 'vitest'
import { JOINTS } from '../../../core/joints/index.ts'
import { declarationsSaid } from '../../../core/joints/judging/said.ts'
import { demoDocument } from '../../../demo/index.ts'
import { openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { importDocument } from '../builds/build-document.ts'
import {
  changedByUpgrade,
  type Judged,
  judgeChosen,
  noteJudged,
  seeUpgrade,
} from './judged-pairings.ts'

let store: Store
let now: readonly Judged[]
beforeEach(async () => {
  store = new Store(await openDatabase(':memory:'))
  await importDocument(store, demoDocument())
  now = await judgeChosen(store)
})
/** As a program before would have judged it. */
const before = (rest: Partial<Judged>): readonly Judged[] =>
  now.map((one) => ({
    ...one,
    codes: { ...one.codes, depth: 'clash' },
    ...rest,
  }))

test('a joint that a newer program judges otherwise from the same claims is told until it is seen', async () => {
  const was = now.find(({ codes }) => codes.depth !== undefined)!
  const [row] = await store.list('pairing', { id: was.pairingId })
  await noteJudged(store, before({ judging: 'of the program before' }))
  expect(await changedByUpgrade(store, row!.buildId)).toEqual([])
  await noteJudged(store, now)
  const told = [{ joint: 'depth', was: 'clash', is: was.codes.depth }]
  expect(await changedByUpgrade(store, row!.buildId)).toEqual(told)
  // At the next start it is still told.
  await noteJudged(store, now)
  expect(await changedByUpgrade(store, row!.buildId)).toEqual(told)
  await seeUpgrade(store, row!.buildId)
  expect(await changedByUpgrade(store, row!.buildId)).toEqual([])
})

test('what a person measured meanwhile, or the same program, is no upgrade', async () => {
  const { buildId } = (await store.list('pairing', { chosen: true }))[0]!
  await noteJudged(store, before({ judging: 'of the program before', inputs: 'other claims' }))
  await noteJudged(store, now)
  expect(await changedByUpgrade(store, buildId)).toEqual([])
  await noteJudged(store, before({}))
  await noteJudged(store, now)
  expect(await changedByUpgrade(store, buildId)).toEqual([])
})

test('what judges is told apart by any change of a declaration', () => {
  const said = declarationsSaid(JOINTS)
  expect(said.length).toBeGreaterThan(10_000)
  const [first, ...rest] = JOINTS
  const cut = { ...first!, limits: first!.limits.slice(1) }
  expect(declarationsSaid([cut, ...rest])).not.toBe(said)
  expect(declarationsSaid(JOINTS)).toBe(said)
})
