import { expect, test } from 'vitest'
import { type OwnerFigures, ownerSummary } from './owner-summary.ts'

const sheet = (more: object) => ({
  toHundred: 20,
  toEighty: 12,
  topKmh: 140,
  topGear: 4,
  cruiseRpm: 2764,
  crawlKmh: 4,
  hillByGear: [20, 40, 70, 0],
  fuel: null,
  ...more,
})
const figures = (more: Partial<OwnerFigures> = {}): OwnerFigures => ({
  vehicle: 'The van',
  before: 'Old with four gears',
  after: 'New with five',
  money: (minor) => `€ ${minor / 100}`,
  likely: { low: 100_000, high: 180_000 },
  repairMinor: 90_000,
  keeps: [
    { words: 'Heater', kept: true },
    { words: 'Air conditioning', kept: false },
  ],
  open: ['Pilot'],
  blockers: ['Torque clashes'],
  law: ['The insurer is told.'],
  road: { before: sheet({}), after: sheet({ toHundred: null, hillByGear: [30, 50, 80, 91.4] }) },
  massChangeKg: -12.4,
  ...more,
})
const lines = (of: OwnerFigures, title: string): string =>
  ownerSummary(of)
    .find((section) => section.title === title)!
    .lines.join('\n')

test('before and after stand side by side; what is not held or never reached is said so', () => {
  const [first] = ownerSummary(figures())
  expect(first!.table!.map(({ before, after }) => [before, after])).toEqual([
    ['20.0 s', 'never'],
    ['2760 rpm', '2760 rpm'],
    ['not held', '91 km/h'],
  ])
  expect(first!.lines).toContain('The new train weighs −12 kg against the old.')
})

test('kept and lost, risks, law and the range of the price are told; hours, suppliers and margins are not', () => {
  const of = figures()
  expect(lines(of, 'Kept and lost')).toContain('Keeps working: heater.')
  expect(lines(of, 'Kept and lost')).toContain('air conditioning')
  expect(lines(of, 'What is not certain')).toMatch(/Torque clashes[\s\S]*Not measured yet: Pilot/)
  expect(lines(of, 'What is not certain')).toContain('not an engineering approval')
  expect(lines(of, 'Law and papers')).toContain('To be settled: The insurer is told.')
  expect(lines(of, 'Price')).toContain('between € 1000 and € 1800')
  expect(lines(of, 'Price')).toContain('€ 900')
})

test('before anything is chosen it says so and promises nothing', () => {
  const of = figures({
    after: null,
    likely: null,
    road: null,
    keeps: [],
    open: [],
    blockers: [],
    law: [],
  })
  expect(lines(of, 'Before and after')).toContain('Planned: not chosen yet.')
  expect(lines(of, 'Price')).toContain('No price yet')
  expect(ownerSummary(of)[0]).not.toHaveProperty('table')
  expect(lines(of, 'Law and papers')).toContain('local authority')
})
