import { describe, expect, test } from 'vitest'
import type { FactKey } from '../facts/index.ts'
import { byOutcome, lineCost } from './line-cost.ts'
import { need } from './need.ts'
import { FAILS, supplyOf } from './supply.ts'

const fact = (said: Partial<Record<FactKey, string>>) => (key: FactKey) => said[key]
const PULLED = {
  'build.engine': 'other',
  'donor.kind': 'pulled',
  'donor.box': 'manual',
  'gearbox.type': 'manual',
} as const

describe('where a line comes from', () => {
  test.each([
    ['alternator', ['engine'], PULLED, 'comes'],
    ['alternator', ['engine'], { ...PULLED, 'donor.kind': 'bare' }, 'get'],
    ['alternator', ['engine'], { ...PULLED, 'donor.kind': 'new' }, 'get'],
    ['alternator', ['engine'], { 'build.engine': 'kept' }, 'keep'],
    ['pedal', ['vehicle'], PULLED, 'get'],
    ['pedal', ['vehicle'], { ...PULLED, 'donor.kind': 'vehicle' }, 'comes'],
    ['header', ['recipient', 'vehicle'], PULLED, 'keep'],
    ['fork', ['gearbox'], { ...PULLED, 'build.box': 'own' }, 'keep'],
    ['fork', ['gearbox'], { ...PULLED, 'build.box': 'apart' }, 'comes'],
    // A wheel comes only from before the same kind of gearbox.
    ['flywheel', ['engine'], PULLED, 'comes'],
    ['flywheel', ['engine'], { ...PULLED, 'donor.box': 'automatic' }, 'get'],
    ['flywheel', ['engine'], { ...PULLED, 'donor.box': 'none' }, 'get'],
    ['hose', undefined, PULLED, 'get'],
  ] as const)('%s, brought by %o, where %o: %s', (kind, comes, said, supply) => {
    expect(supplyOf({ kind, ...(comes ? { comes } : {}) }, fact(said), [])).toBe(supply)
  })

  test('nothing is settled by silence: a person, a price or a received part settles it', () => {
    const line = { kind: 'alternator', comes: ['engine'] } as const
    for (const act of ['keep', 'confirm', 'receive', 'fit'] as const)
      expect(supplyOf(line, fact(PULLED), [act])).toBe('here')
    for (const act of ['price', 'estimate', 'order'] as const)
      expect(supplyOf(line, fact(PULLED), [act])).toBe('settled')
    expect(supplyOf(line, fact(PULLED), ['postpone'])).toBe('comes')
  })
})

describe('what a line costs, by how it stands', () => {
  const line = (outcome: 'yes' | 'leans yes' | 'open' | 'folded') =>
    need({ kind: 'x', place: 'front', words: 'X', why: [], outcome, hours: [1, 2, 4] })
  const assumed = [1000, 4000, 9000] as const

  test.each([
    ['yes', [1000, 4000, 9000]],
    ['leans yes', [0, 4000, 9000]],
    ['open', [0, 2000, 9000]],
    ['folded', [0, 0, 9000]],
  ] as const)('%s: %o', (outcome, price) => {
    expect(lineCost(line(outcome), 'get', { assumed }).price).toEqual(price)
  })

  test('what comes or is kept costs the share that fails, at most the whole; its hours count as ever', () => {
    const cost = lineCost(line('yes'), 'comes', { assumed })
    expect(cost).toMatchObject({ price: [0, 4000 * FAILS, 9000], chance: FAILS, hours: [1, 2, 4] })
    expect(lineCost(line('yes'), 'here', { assumed })).toMatchObject({
      price: [0, 0, 0],
      chance: 0,
    })
  })

  test('a typed price stands over the market, the market over what is common; what is sold brings money', () => {
    expect(
      lineCost(line('yes'), 'settled', { typedMinor: 700, offered: [1, 2, 3], assumed }),
    ).toMatchObject({ price: [700, 700, 700], from: 'typed' })
    expect(lineCost(line('yes'), 'get', { offered: [1, 2, 3], assumed })).toMatchObject({
      price: [1, 2, 3],
      from: 'offers',
    })
    expect(byOutcome('leans yes', [-700, -300, -60])).toEqual([-700, -300, 0])
  })
})
