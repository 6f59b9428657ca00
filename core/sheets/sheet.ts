import type { StoredUnit } from '../quantity/units.ts'

/** One question of a sheet filled beside the work. */
export interface SheetQuestion {
  readonly id: string
  readonly words: string
  readonly type: 'yes-no' | 'hit' | 'text' | 'quantity' | 'choice' | 'date'
  readonly unit?: StoredUnit
  readonly choices?: readonly string[]
  /** What a bad answer puts at risk: a no, or a hit. */
  readonly risk?: string
}

export interface SheetStep {
  readonly id: string
  readonly title: string
  /** Shown at the step, once, before anything is touched. */
  readonly cautions: readonly string[]
  readonly questions: readonly SheetQuestion[]
}

/** Answers by question. `at` tells which of two answers is the later. */
export interface SheetAnswer {
  readonly value: string
  /** ISO time at which it was given, by the clock of who gave it. */
  readonly at: string
  readonly by: string | null
  /** How it was measured, where it is a measurement. */
  readonly method?: string | undefined
}
export type SheetAnswers = Readonly<Record<string, SheetAnswer>>

/**
 * Joins answers from two places question by question: the later stays; of two given at once the greater text, so that
 * the order in which they arrive does not matter. Sending the same again changes nothing.
 */
export function mergeAnswers(stored: SheetAnswers, incoming: SheetAnswers): SheetAnswers {
  const merged = new Map(Object.entries(stored))
  for (const [id, answer] of Object.entries(incoming)) {
    const held = merged.get(id)
    if (!held || answer.at > held.at || (answer.at === held.at && answer.value > held.value))
      merged.set(id, answer)
  }
  return Object.fromEntries(merged)
}

export interface Joined {
  readonly answers: SheetAnswers
  /** Questions whose answer sent now does not stand: a later one was there already. */
  readonly passedOver: readonly string[]
}

/**
 * The same where answers arrive. A clock that is ahead must not outvote everybody until its time comes: an answer from the
 * future counts as given now.
 *
 * @param now ISO time of the one clock all answers share
 */
export function joinAnswers(stored: SheetAnswers, incoming: SheetAnswers, now: string): Joined {
  const dated = Object.fromEntries(
    Object.entries(incoming).map(([id, answer]) => [
      id,
      Date.parse(answer.at) > Date.parse(now) ? { ...answer, at: now } : answer,
    ]),
  )
  const answers = mergeAnswers(stored, dated)
  return {
    answers,
    passedOver: Object.keys(dated).filter((id) => answers[id]!.value !== dated[id]!.value),
  }
}

/** What the answers put at risk, in the order of the sheet: a hit, or a no. */
export function risksIn(
  steps: readonly SheetStep[],
  answers: SheetAnswers,
): { readonly question: string; readonly words: string; readonly risk: string }[] {
  return steps.flatMap((step) =>
    step.questions.flatMap(({ id, words, type, risk }) => {
      const value = answers[id]?.value
      const isBad = (type === 'hit' && value === 'yes') || (type === 'yes-no' && value === 'no')
      return isBad && risk ? [{ question: id, words, risk }] : []
    }),
  )
}

export const yesNo = (id: string, words: string, risk: string): SheetQuestion => ({
  id,
  words,
  type: 'yes-no',
  risk,
})
export const hit = (id: string, words: string, risk: string): SheetQuestion => ({
  id,
  words,
  type: 'hit',
  risk,
})
export const figure = (id: string, words: string, unit: StoredUnit): SheetQuestion => ({
  id,
  words,
  type: 'quantity',
  unit,
})
export const free = (id: string, words: string): SheetQuestion => ({ id, words, type: 'text' })
