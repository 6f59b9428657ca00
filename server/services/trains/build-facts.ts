import { buildFacts } from '../../../core/needs/build-facts.ts'
import type { KnownFacts } from '../../../core/needs/line-list.ts'
import { roomOfTrain } from '../../../core/recipient/room-of-train.ts'
import type { SheetAnswers } from '../../../core/sheets/sheet.ts'
import { donorId } from '../../../core/sourcing/ids.ts'
import type { DonorRow } from '../../../core/sourcing/market.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { BuildView } from '../builds/build-view.ts'
import type { PairingRun } from './pairing-run.ts'

/** What was typed for a build and chosen in Sourcing. */
export interface BuildSheets {
  readonly sheets: readonly RowOf<'buildSheet'>[]
  readonly donorSheets: readonly RowOf<'donorSheet'>[]
  readonly locks: readonly RowOf<'sourcingLock'>[]
}

export async function sheetsOf(store: Store, buildId: string): Promise<BuildSheets> {
  const [sheets, donorSheets, locks] = await Promise.all([
    store.list('buildSheet', { buildId }),
    store.list('donorSheet', { buildId }),
    store.list('sourcingLock', { buildId, way: 'in' }),
  ])
  return { sheets, donorSheets, locks }
}

/** What is known of a build, from its parts, joints, rooms, sheets and what was typed for it. */
export const factsOf = async (
  store: Store,
  view: BuildView,
  run: PairingRun | null,
): Promise<KnownFacts> => factsFrom(view, run, await sheetsOf(store, view.build.id))

/** The same with one pairing of many, from what was read before. */
export function factsFrom(
  view: BuildView,
  run: PairingRun | null,
  { sheets, donorSheets, locks }: BuildSheets,
): KnownFacts {
  const { build, catalogue } = view
  const answersOf = (kind: string): SheetAnswers =>
    sheets.find((row) => row.kind === kind)?.answers ?? {}
  const recipient = build.recipientId ? (catalogue.parts.get(build.recipientId) ?? null) : null
  const owned = new Set(
    (build.recipientId ? catalogue.ownedBy(build.recipientId) : []).map((row) => row.id),
  )
  const bundles = new Set(locks.map(({ bundle }) => bundle))
  // Of what a person chose: the solver never changes a fact.
  const donor = catalogue.trade.donors.find((one) => bundles.has(donorId(one.id)))
  return buildFacts({
    said: answersOf('facts'),
    brief: answersOf('brief'),
    law: answersOf('law'),
    bench: answersOf('bench'),
    donor: donor
      ? {
          answers: donorSheets.find((row) => row.donorId === donor.id)?.answers ?? {},
          kind: kindOf(donor, catalogue),
        }
      : null,
    stoppers: view.stoppers,
    mustWork: build.mustWork,
    use: build.use ?? null,
    isSetBack: build.school === 'set-back',
    inspection: build.inspection ?? null,
    recipient,
    train: run?.train ?? null,
    isRecipients: (id) => owned.has(id),
    joints: run?.result.joints ?? [],
    rooms: run ? roomOfTrain(recipient, run.train).rooms : [],
    inserted: run ? run.result.chosen.flatMap((id) => catalogue.parts.get(id)?.kind ?? []) : [],
    faulty: new Set(
      view.recipes.flatMap(({ isFault, ofPart }) => (isFault && ofPart ? ofPart : [])),
    ),
    hasKit: [...bundles].some((bundle) => bundle?.startsWith('kit:')),
  })
}

/** What is bought, by what its bundle holds: a hulk is left of a whole vehicle only. */
function kindOf(donor: DonorRow, { parts }: BuildView['catalogue']): 'vehicle' | 'pulled' | 'bare' {
  if (donor.disposalMinor > 0 || donor.scrapMinor > 0) return 'vehicle'
  return donor.items.every(({ partId }) => parts.get(partId)?.kind === 'engine') ? 'bare' : 'pulled'
}
