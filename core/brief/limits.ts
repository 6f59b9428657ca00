import { type Currency, parseMoney } from '../money/money.ts'
import type { BriefLimits } from '../pairing/weigh.ts'
import { parseQuantity } from '../quantity/units.ts'
import type { SheetAnswers } from '../sheets/sheet.ts'

/** Limits of a brief as figures, minor units and hours; what cannot be read limits nothing, and the brief says so itself. */
export function briefLimits(answers: SheetAnswers, currency: Currency): BriefLimits {
  const read = (id: string, parse: (typed: string) => number): number | null => {
    const typed = answers[id]?.value
    if (!typed?.trim()) return null
    try {
      return parse(typed)
    } catch {
      return null
    }
  }
  return {
    money: read('most-money', (typed) => parseMoney(typed, currency)),
    hours: read('most-hours', (typed) => parseQuantity(typed, 'h')),
    boltIn: answers['bolt-in']?.value === 'yes',
    uncut: answers.uncut?.value === 'yes',
  }
}
