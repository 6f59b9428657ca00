import { BRIDGE, CLASH, CODES, UNMEASURED } from '../../../core/joints/code.ts'
import { jointNamed } from '../../../core/joints/index.ts'
import type { LimitRecord, Verdict } from '../../../core/joints/verdict.ts'
import { leastWall } from '../../../core/kits/plate-walls.ts'
import { timesRate } from '../../../core/money/money.ts'
import { paidPrice } from '../../../core/money/offer-price.ts'
import { insertionPlace } from '../../../core/pairing/closing.ts'
import { isCouplingKind } from '../../../core/pairing/coupling.ts'
import type { JointResult } from '../../../core/pairing/pairing.ts'
import type { PlateFace } from '../../../core/patterns/plate.ts'
import { type CompiledPart, portOf } from '../../../core/ports/index.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import type { PlanLine } from '../../../core/sourcing/account.ts'
import { kitId as bundleOf, takenBy } from '../../../core/sourcing/ids.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { ConflictError, MissingError } from '../../errors.ts'
import { type BuildView, viewBuild } from '../builds/build-view.ts'
import { type Planned, planAs } from '../planning/planning.ts'
import { costsOf, totals } from '../planning/totals.ts'
import { RevisionMemory } from '../shop/memory.ts'
import { type PairingRun, runBuildPairing } from '../trains/pairing-run.ts'

/** Pieces that wear: how each is had again is asked of a kit. */
const WEARS: ReadonlySet<string> = new Set([
  'flywheel',
  'flexplate',
  'cover',
  'disc',
  'release-bearing',
  'pilot',
  'engine-mount',
  'gearbox-mount',
])
/** Lines of the list that a kit may answer. */
const PLACES: ReadonlySet<string> = new Set(['crank', 'face', 'coupling'])

type Kit = BuildView['catalogue']['trade']['kits'][number]

function kitOf(view: BuildView, id: string): Kit {
  const kit = view.catalogue.trade.kits.find((one) => one.id === id)
  if (!kit) throw new MissingError('That kit is not in the catalogue any more.')
  return kit
}
const partsOf = (view: BuildView, kit: Kit): CompiledPart[] =>
  kit.items.flatMap(({ partId }) => view.catalogue.parts.get(partId) ?? [])

/** Pieces of a kit between engine and gearbox: those put in, and those that take the place of their kind. */
function piecesOf(view: BuildView, kit: Kit) {
  const parts = partsOf(view, kit)
  return {
    instead: parts.filter(({ kind }) => isCouplingKind(kind)),
    inserted: parts.filter((part) => !isCouplingKind(part.kind) && insertionPlace(part) !== null),
  }
}

function chosenIn(view: BuildView): RowOf<'pairing'> {
  const row = view.pairings.find(({ chosen }) => chosen === true)
  if (!row) throw new ConflictError('Choose a pairing first: kits are compared on it.')
  return row
}

/** The build as it would be with a kit in: its pieces in place of their kinds, its plates and spacers put in. */
function withKit(view: BuildView, kit: Kit): { view: BuildView; run: PairingRun } {
  const row = chosenIn(view)
  const { instead, inserted } = piecesOf(view, kit)
  const kinds = new Set(instead.map(({ kind }) => kind))
  const ids = inserted.map(({ id }) => id)
  const others = new Map([...view.inserted].filter(([pairing]) => pairing !== row.id))
  const bare: BuildView = {
    ...view,
    inserted: others,
    choices: [
      ...view.choices.filter(
        ({ pairingId, kind }) => pairingId !== row.id || !kinds.has(String(kind)),
      ),
      ...instead.map((part) => ({
        id: `kit ${part.kind}`,
        version: 1,
        pairingId: row.id,
        kind: part.kind as RowOf<'couplingChoice'>['kind'],
        partId: part.id,
      })),
    ],
  }
  // What else closes it beside the kit's own pieces is put in with them.
  const sets = runBuildPairing(bare, row.engineId, row.transmissionId).result.closedBy
  const whole = sets.find(
    ({ closes, parts }) => closes === 'yes' && ids.every((id) => parts.includes(id)),
  )
  const put = ids.length === 0 && !whole ? null : (whole?.parts ?? ids)
  const next = put ? { ...bare, inserted: new Map(others).set(row.id, put) } : bare
  return { view: next, run: runBuildPairing(next, row.engineId, row.transmissionId) }
}

/** The lock that keeps a kit in; it rests where the kit is not sold, or meets no line. */
const WITH_KIT = 'with this kit'
/** Plans with kits that are kept at once. */
const MOST_KEPT = 12
const planned = new RevisionMemory<Planned>(MOST_KEPT)

/** What a build needs and where it comes from, with a kit bought. */
export const planWithKit = (store: Store, buildId: string, kitId: string): Promise<Planned> =>
  planned.recall(store, `${buildId}\n${kitId}`, async () => {
    const view = await viewBuild(store, buildId)
    const { view: next } = withKit(view, kitOf(view, kitId))
    return planAs(store, next, [{ id: WITH_KIT, way: 'in', bundle: bundleOf(kitId) }])
  })

const isBetween = ({ joint }: JointResult): boolean => jointNamed(joint)?.place === 'coupling'
const read = ({ bare, closed }: JointResult): Verdict => closed ?? bare
const counted = (joints: readonly JointResult[], code: number): number =>
  joints.filter((joint) => read(joint).code === CODES[code]).length

/** Kits with a piece between engine and gearbox, by how many joints of the chosen pairing go together with them. */
export async function kitsAtHand(store: Store, buildId: string) {
  const view = await viewBuild(store, buildId)
  const items = view.catalogue.trade.kits.flatMap((kit) => {
    const { instead, inserted } = piecesOf(view, kit)
    if (instead.length + inserted.length === 0) return []
    const { result } = withKit(view, kit).run
    const between = result.joints.filter(isBetween)
    const own = new Set(kit.items.map(({ partId }) => partId))
    const open = counted(between, BRIDGE)
    const clashes = counted(between, CLASH)
    return {
      id: kit.id,
      name: kit.name,
      joints: between.length,
      good: between.length - open - clashes - counted(between, UNMEASURED),
      open,
      clashes,
      pieces: instead.length + inserted.length,
      beside: result.chosen.filter((id) => !own.has(id)).length,
    }
  })
  items.sort(
    (p, q) =>
      p.clashes - q.clashes ||
      p.open - q.open ||
      p.beside - q.beside ||
      q.good - p.good ||
      q.pieces - p.pieces ||
      (p.name < q.name ? -1 : 1),
  )
  const [choice] = (await store.list('kitChoice', { buildId })).slice(-1)
  return { items, choice: choice ?? null }
}

/** The limit that says most of a joint: the gravest, of those the one with the least margin. */
function tightest({ limits }: Verdict): LimitRecord | null {
  const known = limits.filter(({ margin }) => margin !== null)
  const grave = Math.max(...known.map(({ code }) => CODES.indexOf(code)), 0)
  return known
    .filter(({ code }) => CODES.indexOf(code) === grave)
    .reduce<LimitRecord | null>(
      (least, limit) => (least === null || limit.margin! < least.margin! ? limit : least),
      null,
    )
}

const faceOf = (part: CompiledPart, looks: 'forward' | 'rearward'): PlateFace | null => {
  const { holes, dowels, outline } = portOf(part, 'face', looks)
  return holes.v ? { holes: holes.v, dowels: dowels.v ?? [], outline: outline.v } : null
}

interface SaidOrMeasured {
  readonly label: string
  readonly value: string
  readonly from: 'known' | 'said'
}

/** How good a kit is: what is known of its parts, then what is only said; where both speak and differ, both stand. */
function qualityOf({ quality }: RowOf<'kit'>, parts: readonly CompiledPart[]) {
  const facts: SaidOrMeasured[] = []
  const cautions: string[] = []
  const fact = (label: string, value: unknown, from: SaidOrMeasured['from']): void => {
    if (value !== null && value !== undefined && value !== '')
      facts.push({ label, value: String(value), from })
  }
  const plates = parts.filter(({ kind }) => kind === 'plate')
  const thickness = plates
    .map((part) => portOf(part, 'plate').thicknessMm.v)
    .filter(Number.isFinite)
  const processes = [
    ...new Set(
      plates.flatMap((part) =>
        (['forward', 'rearward'] as const).flatMap((looks) => {
          const { holes, dowels } = portOf(part, 'face', looks)
          return [...(holes.v ?? []), ...(dowels.v ?? [])].flatMap(({ process }) => process ?? [])
        }),
      ),
    ),
  ]
  const pilots = parts
    .filter(({ kind }) => kind === 'pilot')
    .map((part) => portOf(part, 'pilot-piece').type.v)
  const both = (label: string, known: string, said: string | null | undefined): void => {
    if (known !== '') fact(label, known, 'known')
    else fact(label, said, 'said')
    if (known !== '' && said && !known.split(', ').includes(said))
      cautions.push(`${label}: said to be ${said}, known as ${known}.`)
  }
  both('Holes', processes.join(', '), quality?.holeProcess)
  both('Plate, mm', thickness.join(' and '), quality?.plateMm?.toString())
  fact('Plate material', quality?.plateMaterial, 'said')
  both('Pilot', pilots.filter(Boolean).join(', '), quality?.pilot)
  both('Plates', plates.length > 0 ? String(plates.length) : '', quality?.pieces?.toString())
  fact('Crank bolts used', quality?.crankBolts, 'said')
  fact('Bolts of class', quality?.hardwareClass, 'said')
  fact('Instructions', quality?.instructions, 'said')
  fact('Designed', quality?.designYear, 'said')
  return { facts, cautions }
}

const SOURCE_WORDS: Readonly<Record<string, string>> = {
  kit: 'in a kit',
  donor: 'from a donor',
  keep: 'kept',
  comes: 'comes with the rest',
  typed: 'at a price of your own',
}

/**
 * One kit on the chosen pairing, joint by joint: what it leaves to be got and what that costs, and what the build comes to.
 * @param solved the best plan with it
 */
export async function kitColumn(
  store: Store,
  buildId: string,
  kitId: string,
  solved: {
    readonly lines: readonly PlanLine[]
    readonly totalMinor: number | null
    readonly status: string
  },
) {
  const plan = await planWithKit(store, buildId, kitId)
  const { view, gathered, sought } = plan
  const kit = kitOf(view, kitId)
  const [row, items, reports] = await Promise.all([
    store.get('kit', kitId),
    store.list('kitItem', { kitId }),
    reportsOn(store, kit),
  ])
  const parts = partsOf(view, kit)
  const between = (plan.run?.result.joints ?? []).filter(isBetween)
  const at = (joint: string): Verdict | null => {
    const found = between.find((one) => one.joint === joint)
    return found ? read(found) : null
  }
  const costs = costsOf(plan)
  const lineOf = new Map(solved.lines.map((line) => [line.need, line]))
  const lines = sought
    .filter(({ place, task }) => PLACES.has(place) && !task)
    .map((need) => {
      const line = lineOf.get(need.id)
      const source = line && gathered.sources.get(takenBy(line))
      const isOwn = source?.bundle === bundleOf(kitId)
      return {
        need: need.id,
        words: need.words,
        from: isOwn ? ('this kit' as const) : source ? ('elsewhere' as const) : ('open' as const),
        source: source
          ? isOwn
            ? 'in this kit'
            : source.source === 'buy'
              ? source.words
              : (SOURCE_WORDS[source.source] ?? source.words)
          : null,
        minor: line ? (isOwn ? null : line.costMinor) : (costs.get(need.id)?.price?.[1] ?? null),
      }
    })
  // What nobody sells is got somehow: as likely as the list has it.
  const openMinor = Math.round(
    sought
      .filter(({ id, task }) => !task && !lineOf.has(id))
      .reduce((sum, { id }) => sum + (costs.get(id)?.price?.[1] ?? 0), 0),
  )
  // A plan without it tells nothing of it.
  const partsMinor = gathered.resting.has(WITH_KIT) ? null : solved.totalMinor
  const hours = totals({ ...plan, plan: null })?.hoursMiddle ?? 0
  const labourMinor = timesRate(view.build.labourRateMinor, hours)
  const offset = at('block-face')?.limits.find(({ id }) => id === 'axis-offset') ?? null
  const depth = at('depth')?.shown.find(({ label }) => label.startsWith('e,'))?.value
  const walls = parts
    .filter(({ kind }) => kind === 'plate')
    .flatMap((part) => leastWall(faceOf(part, 'forward'), faceOf(part, 'rearward')) ?? [])
    .sort((p, q) => p.wallMm - p.wantedMm - (q.wallMm - q.wantedMm))
  const quality = qualityOf(row, parts)
  return {
    id: kit.id,
    name: kit.name,
    supplier: kit.supplierId === null ? null : view.catalogue.trade.supplierName(kit.supplierId),
    standing: row.standing,
    priceMinor: paidPrice(
      kit.priceMinor,
      kit.currency,
      kit.taxIncluded,
      view.build,
      view.catalogue.trade.rates,
    ),
    omits: row.omits,
    note: row.note,
    quality: quality.facts,
    cautions: quality.cautions,
    joints: between.map((joint) => {
      const verdict = read(joint)
      const limit = tightest(verdict)
      return {
        joint: joint.joint,
        title: jointNamed(joint.joint)?.title ?? joint.joint,
        code: verdict.code,
        lean: verdict.lean,
        evidence: verdict.evidence,
        words: limit?.words ?? '',
        limit: limit && {
          label: limit.label,
          unit: limit.unit,
          value: limit.value,
          margin: limit.margin,
          worstMargin: limit.worstMargin,
        },
      }
    }),
    beside: (plan.run?.result.chosen ?? [])
      .filter((id) => !kit.items.some(({ partId }) => partId === id))
      .map((id) => view.catalogue.parts.get(id)?.name ?? id),
    depthMm: typeof depth === 'number' ? depth : null,
    offset: offset && {
      valueMm: offset.value,
      plusMinusMm: offset.plusMinus,
      mostMm: offset.high,
    },
    wall: walls[0] ?? null,
    pieces: items.map(({ id, partId, quantity, hadAgain }) => {
      const part = view.catalogue.parts.get(partId)
      return {
        id,
        name: part?.name ?? partId,
        kind: kindWords(part?.kind ?? 'unsorted'),
        quantity,
        wears: part !== undefined && WEARS.has(part.kind),
        hadAgain,
      }
    }),
    reports,
    lines,
    clashes: counted(between, CLASH),
    bridges: counted(between, BRIDGE),
    unmeasured: counted(between, UNMEASURED),
    partsMinor,
    openMinor,
    hours,
    labourMinor,
    totalMinor: partsMinor === null ? null : partsMinor + openMinor + labourMinor,
    status: solved.status,
  }
}

/** What is said of a kit, of its parts and of who makes it, the gravest first. */
async function reportsOn(store: Store, kit: Kit) {
  const [ofKit, ofParts, ofMaker] = await Promise.all([
    store.list('report', { kitId: kit.id }),
    store.listIn(
      'report',
      'partId',
      kit.items.map(({ partId }) => partId),
    ),
    kit.supplierId ? store.list('report', { supplierId: kit.supplierId }) : [],
  ])
  const of = (rows: readonly RowOf<'report'>[], about: 'kit' | 'part' | 'maker') =>
    rows.map(({ id, outcome, what, howMany, grade, source, saidBy, day }) => ({
      id,
      about,
      outcome,
      what,
      howMany,
      grade,
      source: [source, saidBy].filter(Boolean).join(', ') || null,
      day,
    }))
  return [...of(ofKit, 'kit'), ...of(ofParts, 'part'), ...of(ofMaker, 'maker')].sort(
    (p, q) =>
      Number(q.outcome === 'failed') - Number(p.outcome === 'failed') || q.howMany - p.howMany,
  )
}
