import { z } from 'zod'
import type { FactKey } from '../../core/facts/index.ts'
import { PLANS } from '../../core/identity/check-number.ts'
import { STEP_KINDS, VERDICT_WORDS } from '../../core/identity/steps.ts'
import { SORTS, STAGES } from '../../core/needs/line.ts'
import type { Need } from '../../core/needs/need.ts'
import type { NumberSays } from '../../core/sourcing/number-says.ts'
import type { SourceInfo } from '../../core/sourcing/source-info.ts'
import { STANDINGS } from '../../core/sourcing/standing.ts'
import { grade, known, list, task, words } from './basics.ts'
import { openLines } from './builds.ts'
import { decision, rowWith } from './rows.ts'

const three = z.tuple([z.number(), z.number(), z.number()]).readonly()
const needShape = {
  id: z.string(),
  kind: z.string(),
  place: z.string(),
  slot: z.string(),
  words: z.string(),
  quantity: z.number(),
  level: z.enum(['required', 'wanted', 'optional', 'confirm']),
  waits: z.enum(['nothing', 'mock-up', 'mated', 'first run']),
  why: list(
    z.object({
      rule: z.string(),
      words: z.string(),
      joint: z.string().optional(),
      parent: z.string().optional(),
      facts: list(z.string() as z.ZodType<FactKey>).optional(),
    }),
  ),
  wants: z.string().optional(),
  constraints: list(
    z.object({
      port: z.string().optional(),
      looks: z.string().optional(),
      field: z.string().optional(),
      low: z.number().optional(),
      high: z.number().optional(),
      equals: z.string().optional(),
    }),
  ),
  conflict: z.string().optional(),
  task: task.optional(),
  keep: z.boolean().optional(),
  cautions: words,
  outcome: z.enum(['yes', 'leans yes', 'open', 'folded']),
  would: z.enum(['required', 'wanted', 'optional']),
  because: list(z.string() as z.ZodType<FactKey>),
  stage: z.enum(STAGES),
  sort: z.enum(SORTS),
  part: z.string().optional(),
  eur: three,
  hours: three,
  comes: list(z.enum(['engine', 'gearbox', 'vehicle', 'recipient'])).optional(),
  work: list(z.enum(['weld', 'cut'])).optional(),
  rests: z.string(),
} as const
export const need: z.ZodType<Need> = z.object(needShape).meta({ id: 'Need' })

const numberSays: z.ZodType<NumberSays> = z
  .object({
    says: z.enum([...VERDICT_WORDS, 'no number wanted']),
    plan: z.enum(PLANS).nullable(),
    evidence: grade.nullable(),
    path: words,
    steps: list(z.object({ kind: z.enum(STEP_KINDS), from: words, to: words, grade })),
    of: z.string().nullable(),
    missing: words,
    open: words,
    todo: words,
    cautions: words,
  })
  .meta({ id: 'NumberSays' })
const sourceKind = z.enum([
  'keep',
  'comes',
  'shelf',
  'buy',
  'typed',
  'service',
  'made',
  'kit',
  'donor',
])
export const sourceInfo: z.ZodType<SourceInfo> = z
  .object({
    id: z.string(),
    need: z.string(),
    source: sourceKind,
    words: z.string(),
    partId: z.string().optional(),
    supplierId: z.string().optional(),
    bundle: z.string().optional(),
    number: numberSays,
    numberShown: z.string().optional(),
    confirm: words,
    evidence: grade.nullable(),
    tick: z.boolean(),
    leadDays: z.number().optional(),
    /** On trial: tried by a few. */
    standing: z.enum(STANDINGS).optional(),
    /** The day its price was last heard of. */
    heardOn: z.string().optional(),
    pack: z.number().optional(),
    packMinor: z.number().optional(),
  })
  .meta({ id: 'Source' })

const listed = {
  ...needShape,
  group: z.string(),
  kindWords: z.string(),
  wantsName: z.string().nullable(),
  joint: z.string().nullable(),
} as const
/** Open: nobody sells or priced it; asked: it hangs on a question. */
export const LINE_STATES = [
  'asked',
  'open',
  'planned',
  'kept',
  'comes',
  'work',
  'dropped',
  'estimated',
  'to solve',
  'here',
  'ordered',
  'fitted',
  'postponed',
  'blocker',
] as const
const partLine = z
  .strictObject({
    ...listed,
    source: sourceInfo.nullable(),
    costMinor: known,
    packs: known,
    candidates: list(sourceInfo),
    candidateCount: z.number(),
    supply: z.enum(['get', 'comes', 'keep', 'here', 'settled']),
    /** Low, likely, high of its money and hours, by how it stands and where it comes from. */
    price: three.nullable(),
    time: three,
    estimateMinor: known,
    decisions: list(decision),
    state: z.enum(LINE_STATES),
    /** What changed since somebody decided of it: the decision stands aside. */
    aside: z.string().nullable(),
    /** The questions it hangs on. */
    hangs: words,
    /** The line a small piece belongs to. */
    belongsTo: z.string().nullable(),
    /** Who sees to it, and what is noted of it. */
    given: z.strictObject({ to: z.string().nullable(), note: z.string().nullable() }).nullable(),
  })
  .meta({ id: 'PartLine' })
const excluded = list(z.object({ id: z.string(), why: z.string() }))
export const partsList = z
  .strictObject({
    pairing: z.string().nullable(),
    currency: z.string(),
    planIsCurrent: z.boolean(),
    planStatus: z.string().nullable(),
    /** Of the list as it is, and as it was when the plan was made. */
    listVersion: z.number(),
    planListVersion: z.number().nullable(),
    lines: list(partLine),
    dropped: list(z.strictObject({ ...listed, decisionId: z.string() })),
    /** Left out because a type says so. */
    folded: list(z.strictObject({ ...listed, hangs: words })),
    excluded,
  })
  .meta({ id: 'PartsList' })

const rival = z.strictObject({
  id: z.string(),
  words: z.string(),
  source: sourceKind,
  number: numberSays,
  confirm: words,
  minor: known,
  bundle: z.string().nullable(),
  /** The piece of the bundle. */
  item: z.string().nullable(),
})
const planLine = z.object({
  need: z.string(),
  candidate: z.string().optional(),
  bundle: z.string().optional(),
  item: z.string().optional(),
  packs: z.number(),
  costMinor: z.number(),
  words: z.string(),
  quantity: z.number(),
  source: sourceInfo.nullable(),
  bundleName: z.string().nullable(),
  /** What its limits wait for, as the plan would be built: nothing where they all agree. */
  toProve: words,
  rivalCount: z.number(),
  rivals: list(rival),
})
const basket = z.object({
  supplier: z.string(),
  shipping: z.string(),
  shippingMinor: z.number(),
  goodsMinor: z.number(),
  orderValueMinor: z.number(),
  weightG: z.number(),
  candidates: words,
  bundles: words,
  name: z.string(),
  items: words,
})
const bundle = z.object({
  bundle: z.string(),
  name: z.string(),
  priceMinor: z.number(),
  scrapMinor: z.number(),
  resaleMinor: z.number(),
  stripMinor: z.number(),
})
export const sourcing = z
  .strictObject({
    currency: z.string(),
    pairing: z.string().nullable(),
    status: z.enum(['proven', 'gap', 'infeasible', 'none']).nullable(),
    totalMinor: known,
    boundMinor: known,
    isCurrent: z.boolean(),
    day: z.string().nullable(),
    needs: z.number(),
    lines: list(planLine),
    baskets: list(basket),
    bundles: list(bundle),
    open: openLines,
    locks: list(
      rowWith('sourcingLock', {
        words: z.string(),
        /** Why it holds nothing now; null while it does. */
        rests: z.string().nullable(),
      }),
    ),
    because: words.nullable(),
    /** Lines that these leave without any source. */
    without: words,
    /** The plan is the last that had a total; what came after it has none. */
    isOld: z.boolean(),
    excluded,
  })
  .meta({ id: 'Sourcing' })

export const job = z
  .object({
    id: z.string(),
    kind: z.string(),
    subject: z.string(),
    status: z.enum(['running', 'done', 'cancelled', 'failed']),
    startedAt: z.number(),
    endedAt: known,
    best: known,
    bound: known,
    error: z.string().nullable(),
    result: z.unknown(),
  })
  .meta({ id: 'Job' })
/** What is under way for a build; null while nothing is. */
export const underWay = z.strictObject({ job: job.nullable() }).meta({ id: 'UnderWay' })

export type PartLine = z.output<typeof partLine>
export type PartsList = z.output<typeof partsList>
export type SourcingView = z.output<typeof sourcing>
/** As its stream of events tells it. */
export type JobView = z.output<typeof job> & { readonly elapsedMs: number }
