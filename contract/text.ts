import { z } from 'zod'
import './words.ts'
import { isCurrency } from '../core/money/money.ts'
import { CONTROLS_SAID, NO_CONTROLS } from '../core/quantity/plain-text.ts'

/** Ids are chosen by programs: letters, figures and a few marks, nothing that a path or a key could stumble over. */
export const id = z
  .string()
  .min(1)
  .max(80)
  .regex(/^(?!__proto__$)[\p{L}\p{N}_.:+~-]+$/u, 'An id is letters, figures and . _ : + ~ -.')
/** `part/kind/slot`. */
export const portId = z.string().min(3).max(200).regex(NO_CONTROLS, CONTROLS_SAID)
/** One line that names something. */
export const name = z
  .string()
  .trim()
  .min(1, 'Give it a name.')
  .max(120)
  .regex(NO_CONTROLS, CONTROLS_SAID)
/** Free text over several lines. */
export const text = z
  .string()
  .max(2000, 'At most 2000 characters.')
  .regex(/^[^\p{Cc}]*(?:[\n\r\t][^\p{Cc}]*)*$/u, 'Leave out control characters.')
export const line = z.string().max(300).regex(NO_CONTROLS, CONTROLS_SAID)
/** What a person typed into a field, or the list of holes they pasted. */
export const typedText = z.string().min(1, 'Type what was measured.').max(20_000)
export const needId = z.string().min(1).max(200).regex(NO_CONTROLS, CONTROLS_SAID)
/** An offer, a bundle or a typed price among the sources of a build. */
export const sourceId = z.string().min(1).max(300)
const CURRENCY_SAID = 'Use an ISO 4217 currency code, such as EUR.'
export const currencySchema = z
  .string()
  .max(3, { error: CURRENCY_SAID, abort: true })
  .refine(isCurrency, CURRENCY_SAID)
export const minor = z.number().int().min(-1e12).max(1e12)
export const amount = minor.nonnegative('An amount cannot be negative.')
export const count = z.number().int().positive().max(1e6)
export const day = z.iso.date('Use a date such as 2026-03-14.')
export const year = z.number().int().min(1880).max(2100)
export const hours = z.number().min(0).max(1000)
