import type { Task } from '../joints/verdict.ts'
import { sideOf } from '../money/budget.ts'
import { type Currency, parseMoney } from '../money/money.ts'
import type { Range } from '../money/range.ts'
import { parseQuantity } from '../quantity/units.ts'
import type { SheetAnswers } from '../sheets/sheet.ts'
import type { Tool } from './questions.ts'

/** One thing the brief's limits and the computed build say of each other. */
export interface Finding {
  readonly id: string
  readonly holds: boolean
  readonly words: string
}

export interface BuildFigures {
  readonly currency: Currency
  /** Tasks of the pairing as it would be built. */
  readonly tasks: readonly Task[]
  /** Hours of the whole list, P10 to P90; null before there is one. */
  readonly hours: Range | null
  /** Money, P10 to P90. */
  readonly likely: Range | null
  /** What stops the build. */
  readonly blockers: readonly string[]
  /** Torque margin at the gearbox input, N·m, at today's output and at the target; null where not known. */
  readonly marginNm: number | null
  readonly marginAtTargetNm: number | null
}

const list = (tasks: readonly Task[]): string =>
  tasks.map((task) => task.words.toLowerCase()).join('; ')

/** The torque wanted in the end, N·m, in whatever unit it was typed. @throws QuantityError */
export const targetTorque = (typed: string): number =>
  parseQuantity(typed, 'N·m', { decimal: 'point' })

/**
 * The limits of the brief against the build as computed: bolt-in only against tasks that weld or machine, nothing cut
 * against tasks that cannot be undone, tools against skills, money, hours, and the torque wanted in the end. A limit
 * nobody set finds nothing.
 */
export function briefFindings(answers: SheetAnswers, figures: BuildFigures): Finding[] {
  const says = (id: string): string | undefined => answers[id]?.value
  const found: Finding[] = []
  const find = (id: string, holds: boolean, good: string, bad: string): void =>
    void found.push({ id, holds, words: holds ? good : bad })
  if (says('bolt-in') === 'yes') {
    const made = figures.tasks.filter((task) =>
      task.skills.some((skill) => skill === 'weld' || skill === 'machine'),
    )
    find(
      'bolt-in',
      made.length === 0,
      'Bolt-in only: nothing on the list is welded or machined.',
      `Bolt-in only, yet: ${list(made)}.`,
    )
  }
  if (says('uncut') === 'yes') {
    const cut = figures.tasks.filter((task) => !task.reversible)
    find(
      'uncut',
      cut.length === 0,
      'Nothing cut: every task can be undone.',
      `Nothing cut, yet these cannot be undone: ${list(cut)}.`,
    )
  }
  for (const tool of ['weld', 'machine'] as const satisfies readonly Tool[])
    if (says(`tool:${tool}`) === 'no') {
      const wants = figures.tasks.filter((task) => task.skills.includes(tool))
      find(
        `tool:${tool}`,
        wants.length === 0,
        `Nothing on the list asks to ${tool}.`,
        `We cannot ${tool}: a service for ${list(wants)}.`,
      )
    }
  if (says('tool:hoist') === 'no')
    find(
      'tool:hoist',
      false,
      '',
      'No hoist or crane: engine and gearbox weigh more than two people may lift. Hire one, for out and for in.',
    )
  /** A limit as typed; what cannot be read is said as it is, and limits nothing. */
  const read = (id: string, parse: (typed: string) => number): number | null => {
    const typed = says(id)
    if (typed === undefined || typed.trim() === '') return null
    try {
      return parse(typed)
    } catch (error) {
      find(id, false, '', (error as Error).message)
      return null
    }
  }
  const most = read('most-money', (typed) => parseMoney(typed, figures.currency))
  if (most !== null && figures.likely !== null) {
    const side = sideOf(figures.likely, most)
    find(
      'money',
      side === 'under',
      'Within the money, in nine builds of ten.',
      side === 'over'
        ? 'Over the money in nine builds of ten.'
        : 'It may come out either side of the money: Budget says what decides it.',
    )
  }
  const hours = read('most-hours', (typed) => parseQuantity(typed, 'h'))
  if (hours !== null && figures.hours !== null) {
    const { low, high } = figures.hours
    const said = `${Math.round(low)} to ${Math.round(high)} h of work`
    find(
      'hours',
      high <= hours,
      `${said}, within the hours.`,
      low > hours
        ? `${said}, over the hours.`
        : `${said}: it may come out either side of the hours.`,
    )
  }
  for (const words of figures.blockers)
    find(`blocker:${words}`, false, '', `This stops the build: ${words}.`)
  if (figures.marginNm !== null)
    find(
      'today',
      figures.marginNm >= 0,
      `At today's output ${Math.round(figures.marginNm)} N·m to spare at the gearbox.`,
      `At today's output ${Math.round(-figures.marginNm)} N·m too much for the gearbox.`,
    )
  read('target-nm', targetTorque)
  if (figures.marginAtTargetNm !== null)
    find(
      'target',
      figures.marginAtTargetNm >= 0,
      `At the torque wanted ${Math.round(figures.marginAtTargetNm)} N·m to spare.`,
      `At the torque wanted ${Math.round(-figures.marginAtTargetNm)} N·m too much: a stronger gearbox, or less engine.`,
    )
  if (says('reason') === 'The old engine failed' && says('cause') && says('cause-gone') !== 'yes')
    find(
      'cause',
      false,
      '',
      `What killed the old engine is still there: ${says('cause')}. It would kill the next one.`,
    )
  return found
}

/** What money alone says of a swap whose outcome stands on one side of the best other way. */
const SIDES = {
  over: 'In money alone the swap is no worse.',
  under: 'In money alone it is worth more without the swap.',
  either: 'In money alone it may be either: lines without a price decide it.',
} as const

/** Uncut or cut, in figures: what each way leaves, whole units of currency as typed; null where a value is missing. */
export interface UncutSheet {
  readonly asItStands: number | null
  readonly repaired: number | null
  readonly swapped: Range | null
  readonly words: string
}

/**
 * The small honest worksheet: value less what it takes to get there, for selling as it stands, repairing like for like and
 * swapping. It compares three sums, and says when rarity speaks against a cut that the sums do not show.
 */
export function uncutSheet(
  answers: SheetAnswers,
  currency: Currency,
  repairMinor: number | null,
  swap: Range | null,
): UncutSheet {
  let unread: string | null = null
  const value = (id: string): number | null => {
    const typed = answers[id]?.value ?? ''
    if (typed.trim() === '') return null
    try {
      return parseMoney(typed, currency)
    } catch (error) {
      unread ??= (error as Error).message
      return null
    }
  }
  const less = (worth: number | null, cost: number | null): number | null =>
    worth === null || cost === null ? null : worth - cost
  const asItStands = value('value-now')
  const repaired = less(value('value-repaired'), repairMinor)
  const after = value('value-after')
  const swapped =
    after === null || !swap ? null : { low: after - swap.high, high: after - swap.low }
  const others = [asItStands, repaired].filter((one) => one !== null)
  const rare = answers.rarity?.value === 'Rare' || answers.rarity?.value === 'Getting rare'
  const words =
    unread ??
    (swapped === null || others.length === 0
      ? 'Type what it would sell for, and this compares the ways.'
      : `${SIDES[sideOf(swapped, Math.max(...others) - 1)]}${rare ? ' Few are left as made: a cut one does not come back. Ask a buyer of originals before the first cut.' : ''}`)
  return { asItStands, repaired, swapped, words }
}
