import { z } from 'zod'
import { found } from '../answers/catalogue.ts'
import { settings, templates, vocabulary } from '../answers/shop.ts'
import type { Operations } from '../operation.ts'
import { settingsInput } from '../rows.ts'

export const settingOperations = {
  'GET /settings': { summary: 'Units, tolerances and the time zone of the shop', answer: settings },
  'PATCH /settings': {
    summary: 'Change units, tolerances or the time zone; null goes back to the default',
    body: settingsInput,
    answer: settings,
  },
  'GET /words': {
    summary: 'Kinds of part, ports and their fields, methods, tolerances, joints',
    answer: vocabulary,
  },
  'GET /templates': {
    summary: 'Type templates, pattern families and stopper questions for a new build',
    answer: templates,
  },
  'GET /find': {
    summary:
      'Find numbers in any spelling, builds, vehicles, engines, parts, kits, donors and suppliers by words',
    query: z.object({ q: z.string().max(200) }),
    answer: found,
  },
} as const satisfies Operations
