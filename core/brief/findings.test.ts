import { describe, expect, test } from 'vitest'
import type { Task } from '../joints/verdict.ts'
import type { SheetAnswers } from '../sheets/sheet.ts'
import { type BuildFigures, briefFindings, targetTorque, uncutSheet } from './findings.ts'

const said = (answers: Record<string, string>): SheetAnswers =>
  Object.fromEntries(
    Object.entries(answers).map(([id, value]) => [
      id,
      { value, at: '2026-01-01T00:00:00Z', by: null },
    ]),
  )
const cut: Task = {
  id: 'cut',
  words: 'Cut the tunnel',
  hours: 5,
  skills: ['weld'],
  reversible: false,
}
const shim: Task = {
  id: 'shim',
  words: 'Shim the starter',
  hours: 1,
  skills: ['mechanic'],
  reversible: true,
}
const figures: BuildFigures = {
  currency: 'EUR',
  tasks: [shim],
  hours: { low: 1, high: 1 },
  likely: { low: 250_000, high: 300_000 },
  blockers: [],
  marginNm: 38,
  marginAtTargetNm: null,
}
const holds = (answers: Record<string, string>, rest: Partial<BuildFigures> = {}) =>
  Object.fromEntries(
    briefFindings(said(answers), { ...figures, ...rest }).map((one) => [one.id, one.holds]),
  )

test('a limit nobody set finds nothing but the torque that is known', () => {
  expect(holds({})).toEqual({ today: true })
  expect(holds({}, { marginNm: null })).toEqual({})
})

describe.each([
  ['bolt-in', { 'bolt-in': 'yes' }, { tasks: [cut] }],
  ['uncut', { uncut: 'yes' }, { tasks: [cut] }],
  ['tool:weld', { 'tool:weld': 'no' }, { tasks: [cut] }],
  ['money', { 'most-money': '2800' }, {}],
  ['hours', { 'most-hours': '4' }, { hours: { low: 5, high: 9 } }],
  ['target', { 'target-nm': '400' }, { marginAtTargetNm: -20 }],
  ['today', {}, { marginNm: -1 }],
  ['cause', { reason: 'The old engine failed', cause: 'Blocked radiator' }, {}],
] as const)('%s', (id, answers, rest) => {
  test('is found where it does not hold', () => {
    expect(holds(answers as Record<string, string>, rest as Partial<BuildFigures>)[id]).toBe(false)
  })
})

test('each holds where the build keeps within it', () => {
  expect(
    holds({
      'bolt-in': 'yes',
      uncut: 'yes',
      'tool:weld': 'no',
      'most-money': '3 200',
      'most-hours': '6',
    }),
  ).toEqual({
    'bolt-in': true,
    uncut: true,
    'tool:weld': true,
    money: true,
    hours: true,
    today: true,
  })
  expect(
    holds({ reason: 'The old engine failed', cause: 'Blocked radiator', 'cause-gone': 'yes' }),
  ).toEqual({ today: true })
})

test('limits are read in the unit they are typed in, and what cannot be read is said', () => {
  expect(targetTorque('300 lbf·ft')).toBeCloseTo(406.75, 1)
  expect(holds({ 'most-hours': '90 min' }, { hours: { low: 2, high: 2 } }).hours).toBe(false)
  expect(holds({ 'most-money': '2,800.50' })['most-money']).toBe(false)
  const [said1] = briefFindings(said({ 'target-nm': 'plenty' }), figures).filter(
    (one) => one.id === 'target-nm',
  )
  expect(said1).toMatchObject({ holds: false, words: expect.stringContaining('plenty') })
})

test('uncut: three ways compared, and rarity said where the sums do not show it', () => {
  const sheet = uncutSheet(
    said({ 'value-now': '2000', 'value-repaired': '6000', 'value-after': '5500', rarity: 'Rare' }),
    'EUR',
    300_000,
    { low: 400_000, high: 420_000 },
  )
  expect([sheet.asItStands, sheet.repaired, sheet.swapped]).toEqual([
    200_000,
    300_000,
    { low: 130_000, high: 150_000 },
  ])
  expect(sheet.words).toMatch(/worth more without the swap.*does not come back/)
  expect(
    uncutSheet(said({ 'value-now': '2000', 'value-after': '9000' }), 'EUR', null, {
      low: 400_000,
      high: 500_000,
    }).words,
  ).toMatch(/no worse/)
  // Said only where the whole range is on that side.
  expect(
    uncutSheet(said({ 'value-now': '2000', 'value-after': '9000' }), 'EUR', null, {
      low: 400_000,
      high: 800_000,
    }).words,
  ).toMatch(/may be either/)
  expect(uncutSheet({}, 'EUR', null, null).swapped).toBeNull()
  expect(uncutSheet(said({ 'value-now': 'a lot' }), 'EUR', null, null).words).toContain('a lot')
})
