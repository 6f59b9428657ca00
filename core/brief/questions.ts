import { BENCH_STEPS } from '../mating/bench-check.ts'
import { figure, free, type SheetQuestion, type SheetStep } from '../sheets/sheet.ts'

const choice = (id: string, words: string, choices: readonly string[]): SheetQuestion => ({
  id,
  words,
  type: 'choice',
  choices,
})
const date = (id: string, words: string): SheetQuestion => ({ id, words, type: 'date' })
const plain = (id: string, words: string): SheetQuestion => ({ id, words, type: 'yes-no' })

/** Skills and tools a task may ask for, as the brief asks after them. */
export const TOOLS = ['weld', 'machine', 'flash', 'hoist'] as const
export type Tool = (typeof TOOLS)[number]

/** What the brief asks beyond the build's own row: why, limits, how much is enough. */
export const BRIEF_STEPS: readonly SheetStep[] = [
  {
    id: 'why',
    title: 'Why, and what of it stays',
    cautions: [],
    questions: [
      choice('reason', 'Reason for it', [
        'The old engine failed',
        'Too weak',
        'Too thirsty',
        'Not to be had',
      ]),
      free(
        'cause',
        'What of the old failure’s cause stays in the vehicle: radiator, tank, hoses, wiring',
      ),
      plain('cause-gone', 'Is that cause dealt with on the list?'),
    ],
  },
  {
    id: 'limits',
    title: 'Limits',
    cautions: [],
    questions: [
      free('most-money', 'Money, at most, in the build’s currency'),
      date('by-date', 'It must run by'),
      figure('most-hours', 'Hours of our own, at most', 'h'),
      plain('tool:weld', 'Can we weld?'),
      plain('tool:machine', 'Can we machine?'),
      plain('tool:flash', 'Can we flash a computer?'),
      plain('tool:hoist', 'Is there a hoist or crane?'),
      plain('bolt-in', 'Bolt-in only: nothing welded or machined?'),
      plain('uncut', 'Nothing of the vehicle cut?'),
      choice('looks', 'How close to factory it must look', [
        'As from the factory',
        'Tidy',
        'It must work',
      ]),
    ],
  },
  {
    id: 'enough',
    title: 'How much is enough',
    cautions: [],
    questions: [
      figure('target-nm', 'Torque wanted in the end; blank: as the engine is', 'N·m'),
      free('needed-daily', 'When is the vehicle needed daily, and what stands in for it'),
      free('keep-parts', 'Parts only this chassis has, to be kept: a line or a comma each'),
    ],
  },
]

/** The law and the papers: a list with dates, papers and who said so. It reminds and records; the local authority decides. */
export const LAW_ITEMS = [
  ['allowed', 'An engine change of this kind is allowed here'],
  ['power', 'The power and torque increase is within what is allowed'],
  ['emissions', 'The emission class and equipment wanted are known'],
  ['noise', 'The noise limit is known'],
  ['engineer', 'An engineer’s certificate is asked for, and by whom'],
  ['inspection-before', 'Visit before the work'],
  ['inspection-mock-up', 'Visit at mock-up'],
  ['inspection-after', 'Visit after the work'],
  ['registration', 'The registration is changed'],
  ['insurer', 'The insurer is told'],
  ['engine-papers', 'Invoice and engine number of the donor engine'],
] as const

export const LAW_STEPS: readonly SheetStep[] = LAW_ITEMS.map(([id, words]) => ({
  id,
  title: words,
  cautions: [],
  questions: [
    choice(`${id}:state`, 'State', ['To ask', 'Asked', 'Yes, in writing', 'Does not apply', 'No']),
    date(`${id}:date`, 'When'),
    free(`${id}:paper`, 'Paper'),
    free(`${id}:who`, 'Who said so'),
  ],
}))

export const UNCUT_STEPS: readonly SheetStep[] = [
  {
    id: 'uncut',
    title: 'Is it worth more uncut?',
    cautions: [],
    questions: [
      free('value-now', 'What it would sell for as it stands'),
      free('value-repaired', 'What it would sell for repaired like for like'),
      free('value-after', 'What it would sell for with the swap'),
      choice('rarity', 'How many are left as made', ['Common', 'Getting rare', 'Rare']),
    ],
  },
]

export const SHEET_KINDS = {
  brief: BRIEF_STEPS,
  law: LAW_STEPS,
  uncut: UNCUT_STEPS,
  bench: BENCH_STEPS,
} as const
export type SheetKind = keyof typeof SHEET_KINDS
