import { z } from 'zod'
import type { Units } from '../../core/quantity/units.ts'
import { PAPERS } from '../stored.ts'
import { byName, known, list, words } from './basics.ts'
import { stopper } from './builds.ts'

export const settings = z
  .strictObject({
    units: z.record(z.string(), z.string()) as z.ZodType<Units>,
    tolerances: byName(z.number()),
    timeZone: z.string(),
    paper: z.enum(PAPERS),
    weights: z.record(z.string(), z.number()),
  })
  .meta({ id: 'Settings' })

const fieldWords = z.strictObject({
  name: z.string(),
  label: z.string(),
  unit: z.string(),
  type: z.string(),
  choices: words.nullable(),
  methods: words,
  minutes: z.number(),
})
export const vocabulary = z
  .strictObject({
    partKinds: byName(z.object({ words: z.string(), group: z.string() })),
    methods: byName(z.object({ words: z.string(), plusMinus: z.number() })),
    tolerances: byName(z.object({ value: z.number(), words: z.string(), unit: z.string() })),
    joints: list(
      z.strictObject({
        id: z.string(),
        number: z.number(),
        short: z.string(),
        title: z.string(),
        decides: z.string(),
      }),
    ),
    ports: byName(
      z.strictObject({
        title: z.string(),
        looks: z.enum(['forward', 'rearward']).nullable(),
        fields: list(fieldWords),
      }),
    ),
  })
  .meta({ id: 'Words' })

export const templates = z
  .strictObject({
    templates: list(
      z.strictObject({
        id: z.string(),
        kind: z.string(),
        words: z.string(),
        says: z.string(),
        massKg: z.number(),
      }),
    ),
    families: list(z.strictObject({ id: z.string(), words: z.string() })),
    stoppers: list(stopper),
  })
  .meta({ id: 'Templates' })

const columns = z.record(z.string(), z.unknown())
const entry = z
  .strictObject({
    id: z.number(),
    at: z.string(),
    who: z.string(),
    command: z.string().nullable(),
    entity: z.string(),
    entityId: z.string(),
    act: z.enum(['insert', 'update', 'remove', 'restore']),
    before: columns.nullable(),
    after: columns.nullable(),
    name: z.string().nullable(),
    currency: z.string().nullable(),
    /** Of rows it holds by id. */
    names: z.record(z.string(), z.string()),
  })
  .meta({ id: 'HistoryEntry' })
export const history = z.strictObject({ items: list(entry), next: known })
/** Which row was put back. */
export const restored = z.strictObject({ entity: z.string(), id: z.string() })
export const undone = z.strictObject({ undone: z.number(), command: z.string().nullable() })

export const trashed = z.strictObject({
  id: z.string(),
  entity: z.string(),
  entityId: z.string(),
  at: z.string(),
  name: z.string(),
  rows: z.number(),
})

/** A row that cannot be read, with what stands in the fields at fault. */
export const asideRow = z
  .strictObject({
    table: z.string(),
    id: z.string(),
    version: z.number(),
    name: z.string(),
    faults: list(z.strictObject({ field: z.string(), message: z.string() })),
    because: z.string().nullable(),
    values: byName(z.string()),
    hasEarlier: z.boolean(),
  })
  .meta({ id: 'RowSetAside' })

export const backup = z
  .strictObject({
    name: z.string(),
    at: z.string(),
    bytes: z.number(),
    why: z.enum(['day', 'asked', 'before-restore']),
  })
  .meta({ id: 'Backup' })
export const restoredBackup = z.strictObject({
  restored: z.string(),
  kept: z.string(),
  changesMeanwhile: z.number(),
})

export const session = z
  .strictObject({ asks: z.boolean(), signedIn: z.boolean(), hasPasscode: z.boolean() })
  .meta({ id: 'Session' })

export type HistoryEntry = z.output<typeof entry>
export type AsideView = z.output<typeof asideRow>
export type Templates = z.output<typeof templates>
