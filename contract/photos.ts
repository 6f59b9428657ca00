import { z } from 'zod'
import { id, line, text } from './text.ts'

const owners = { partId: id.optional(), donorId: id.optional(), buildId: id.optional() }
const isOneOwner = (of: Record<string, unknown>): boolean =>
  [of.partId, of.donorId, of.buildId].filter(Boolean).length === 1
const OWNER_SAID = 'Say of which part, donor or build: one of them.'

/** Whose pictures are asked for. */
export const photosQuery = z.object({ ...owners, spot: line.optional() })

/** What is said of a picture that is sent; the id is made by who sends it, so that sending twice keeps one. */
export const photoQuery = z.object({
  id,
  ...owners,
  /** Where on it: a line, a question of a sheet, a measurement. */
  spot: line.optional(),
  note: text.optional(),
  saidBy: text.optional(),
})

/** Whether exactly one owner is named, and what is said otherwise. */
export const oneOwner = { isOneOwner, said: OWNER_SAID } as const
