import { afterAll, beforeAll, expect, test } from 'vitest'
import { LEVELS } from '../../../core/money/draw.ts'
import { FIGURES, type FigureId, type Working } from '../../../core/pairing/working.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { viewBuild } from '../builds/build-view.ts'
import { allFigures, type PairOf } from './pairing-figures.ts'
import { workingOf } from './pairing-working.ts'
import { listPairings, pairingWorking } from './pairings.ts'

let knex: Database
let store: Store
beforeAll(async () => {
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(() => knex.destroy())

/** Some pairings of a build, first and far down its list. */
async function some(build: string): Promise<readonly PairOf[]> {
  const { parts, rows } = await listPairings(store, build)
  return rows
    .filter((_, i) => i % 211 === 0)
    .slice(0, 4)
    .map((row) => ({
      engineId: parts[row.engine]!.id,
      transmissionId: parts[row.transmission]!.id,
      transferId: row.transfer === null ? null : parts[row.transfer]!.id,
    }))
}

const sum = (lines: Working['lines'], unit: string): number =>
  lines.reduce((all, { unit: own, value }) => all + (own === unit ? (value ?? 0) : 0), 0)
const middle = ([low, likely, high]: readonly number[]): number => (low! + likely! + high!) / 3

test('every figure of a row opens to a working that ends in it, and whose lines come to it', async () => {
  for (const build of ['lantern', 'alder', 'sprat']) {
    const view = await viewBuild(store, build)
    const pairs = await some(build)
    const rows = await allFigures(store, view, pairs)
    for (const [i, pair] of pairs.entries()) {
      const row = rows[i]!
      const told = new Map(
        await Promise.all(
          FIGURES.map(
            async (figure): Promise<[FigureId, Working]> => [
              figure,
              await workingOf(store, view, pair, figure),
            ],
          ),
        ),
      )
      const of = (figure: FigureId): Working => told.get(figure)!
      for (const { title, method } of told.values())
        expect(title.length * method.length).toBeGreaterThan(0)

      expect(of('open').lines).toHaveLength(row.open)
      expect(of('stoppers').lines).toHaveLength(row.stoppers)
      expect(of('cost').result).toMatchObject({
        value: row.money!.likely,
        low: row.money!.low,
        high: row.money!.high,
      })
      const [parts, work] = of('cost').lines.slice(-2)
      expect(Math.abs(parts!.value! + work!.value! - row.money!.likely)).toBeLessThan(2)
      expect(sum(of('cost').lines.slice(0, -2), 'minor') * middle(LEVELS.price)).toBeCloseTo(
        parts!.value!,
        -1,
      )
      expect(sum(of('hours').lines, 'h') * middle(LEVELS.hours)).toBeCloseTo(
        of('hours').result.value!,
        6,
      )
      expect(of('hours').result).toMatchObject(row.hours)
      if (row.massChangeKg !== null)
        expect(sum(of('mass').lines, 'kg')).toBeCloseTo(row.massChangeKg, 9)
      if (row.frontChangeKg !== null)
        expect(sum(of('front').lines, 'kg')).toBeCloseTo(row.frontChangeKg, 9)
      expect(of('cruise').result.value).toBe(row.cruiseRpm)
      if (row.cruiseRpm !== null)
        expect(of('cruise').lines.find(({ words }) => words === 'engine')!.value).toBeCloseTo(
          row.cruiseRpm,
          9,
        )
      expect(of('hill').result.value).toBe(row.hillTopKmh)
      expect(of('hundred').result.value).toBe(row.toHundredS)
      expect(of('margin').result.value).toBe(row.marginNm)
      if (row.piecesMinor !== null)
        expect(sum(of('pieces').lines, 'minor')).toBeGreaterThanOrEqual(row.piecesMinor)
    }
  }
})

test('a working follows the placement that is asked for', async () => {
  const [pair] = await some('lantern')
  const asked = (school: 'keep' | 'set-back') =>
    pairingWorking(store, 'lantern', school, pair!, 'front')
  const [kept, back] = await Promise.all([asked('keep'), asked('set-back')])
  expect(kept.lines.map(({ note }) => note)).not.toEqual(back.lines.map(({ note }) => note))
})
