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
  const merged: Record<string, SheetAnswer> = { ...stored }
  for (const [id, answer] of Object.entries(incoming)) {
    const held = merged[id]
    if (!held || answer.at > held.at || (answer.at === held.at && answer.value > held.value)) merged[id] = answer
  }
  return merged
}

/** What the answers put at risk, in the order of the sheet: a hit, or a no. */
export function risksIn(steps: readonly SheetStep[], answers: SheetAnswers): { readonly question: string; readonly words: string; readonly risk: string }[] {
  return steps.flatMap((step) =>
    step.questions.flatMap(({ id, words, type, risk }) => {
      const value = answers[id]?.value
      const isBad = (type === 'hit' && value === 'yes') || (type === 'yes-no' && value === 'no')
      return isBad && risk ? [{ question: id, words, risk }] : []
    }),
  )
}

export const yesNo = (id: string, words: string, risk: string): SheetQuestion => ({ id, words, type: 'yes-no', risk })
export const hit = (id: string, words: string, risk: string): SheetQuestion => ({ id, words, type: 'hit', risk })
export const figure = (id: string, words: string, unit: StoredUnit): SheetQuestion => ({ id, words, type: 'quantity', unit })
export const free = (id: string, words: string): SheetQuestion => ({ id, words, type: 'text' })
