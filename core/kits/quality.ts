import { z } from 'zod'
import { PROCESSES } from '../ports/field.ts'

export const KIT_PILOTS = ['bearing', 'bush', 'sleeve', 'none'] as const
/** How it is told how a kit goes on: not, on a sheet, by a drawing with sizes, or step by step. */
export const INSTRUCTIONS = ['none', 'sheet', 'drawing', 'steps'] as const

/** How good a kit is said to be. */
export const kitQuality = z.strictObject({
  holeProcess: z.enum(PROCESSES).nullish(),
  plateMaterial: z.string().trim().max(60).nullish(),
  plateMm: z.number().positive().max(200).nullish(),
  /** Bolts of the crank flange that are used; a crank's bolts that are not are lost. */
  crankBolts: z.number().int().min(1).max(24).nullish(),
  pilot: z.enum(KIT_PILOTS).nullish(),
  /** Property class of its bolts (ISO 898-1), such as 10.9. */
  hardwareClass: z
    .string()
    .trim()
    .max(20)
    .regex(/^\d{1,2}\.\d$/, 'Write a property class such as 10.9.')
    .nullish(),
  instructions: z.enum(INSTRUCTIONS).nullish(),
  designYear: z.number().int().min(1950).max(2100).nullish(),
  /** One plate, or two that are bolted or welded together. */
  pieces: z.number().int().min(1).max(6).nullish(),
})
