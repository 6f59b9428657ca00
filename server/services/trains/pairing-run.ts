import { jointNamed } from '../../../core/joints/index.ts'
import { insertionPlace } from '../../../core/pairing/closing.ts'
import { couplingSet, isCouplingKind } from '../../../core/pairing/coupling.ts'
import { type Heard, hearClaims } from '../../../core/pairing/joint-claims.ts'
import { type PairingResult, runPairing } from '../../../core/pairing/pairing.ts'
import { Records } from '../../../core/pairing/records.ts'
import type { Train } from '../../../core/pairing/train.ts'
import { type CompiledPart, portOf } from '../../../core/ports/index.ts'
import type { RowOf } from '../../database/store.ts'
import { MissingError } from '../../errors.ts'
import { type BuildView, type ClaimRow, contextOf } from '../builds/build-view.ts'
import type { Catalogue } from '../catalogue/catalogue.ts'
import { Memory } from '../shop/memory.ts'

export interface PairingRun {
  readonly train: Train
  readonly result: PairingResult
  readonly insertable: readonly CompiledPart[]
  readonly row: RowOf<'pairing'> | null
  /** By joint: what somebody said of it as a whole, beside the computed verdict. */
  readonly heard: ReadonlyMap<string, Heard<ClaimRow>>
}

/** Coupling parts that came with an engine or a transmission. */
export const couplingOf = (catalogue: Catalogue, owner: string): readonly CompiledPart[] =>
  catalogue
    .ownedBy(owner)
    .flatMap((row) =>
      row.isDefault && isCouplingKind(row.kind) ? (catalogue.parts.get(row.id) ?? []) : [],
    )

/** The train of one pairing as the build has it: default coupling, its own choices, the recipient. */
function trainOf(
  view: BuildView,
  engine: CompiledPart,
  transmission: CompiledPart,
  another?: CompiledPart | undefined,
): { train: Train; notes: readonly string[]; row: RowOf<'pairing'> | null } {
  const { catalogue, build } = view
  const row =
    view.pairings.find(
      (one) => one.engineId === engine.id && one.transmissionId === transmission.id,
    ) ?? null
  const chosen = row
    ? view.choices
        .filter((choice) => choice.pairingId === row.id)
        .flatMap((choice) => catalogue.parts.get(String(choice.partId)) ?? [])
    : []
  const { parts, ownBell, notes } = couplingSet(
    transmission,
    couplingOf(catalogue, engine.id),
    couplingOf(catalogue, transmission.id),
    chosen,
  )
  const recipient = build.recipientId ? (catalogue.parts.get(build.recipientId) ?? null) : null
  return {
    train: {
      engine,
      transmission,
      recipient,
      transfer: another ?? transferOf(catalogue, chosen, transmission.id, recipient?.id),
      ownBell,
      coupling: parts,
      inserted: [],
    },
    notes,
    row,
  }
}

/** The transfer case behind a gearbox: the one chosen on the pairing, the gearbox's own, or the recipient's. */
export function transferOf(
  catalogue: Catalogue,
  chosen: readonly CompiledPart[],
  transmissionId: string,
  recipientId: string | undefined,
): CompiledPart | null {
  const picked = chosen.find((part) => part.kind === 'transfer-case')
  if (picked) return picked
  const cases = catalogue.ofKind('transfer-case')
  const owned = (owner: string | undefined): CompiledPart | undefined =>
    owner ? cases.find((part) => catalogue.rows.get(part.id)?.ownerId === owner) : undefined
  return owned(transmissionId) ?? owned(recipientId) ?? null
}

/** By shop and use: what hundreds of pairings have in common is recorded once. */
const recordsMemory = new Memory<Records>(6)
const pairingMemory = new Memory<PairingResult>(2000)

/**
 * One pairing of a build, bare and closed.
 * @param transferId another transfer case than the build has behind it
 * @param isKept whether it is remembered whole: of hundreds that are told apart it is not
 * @throws MissingError
 */
export function runBuildPairing(
  view: BuildView,
  engineId: string,
  transmissionId: string,
  transferId: string | null = null,
  isKept = true,
): PairingRun {
  const engine = view.catalogue.parts.get(engineId)
  const transmission = view.catalogue.parts.get(transmissionId)
  const another = transferId === null ? undefined : view.catalogue.parts.get(transferId)
  if (!engine || !transmission || (transferId !== null && another?.kind !== 'transfer-case'))
    throw new MissingError(
      'That engine, transmission or transfer case is not in the catalogue any more.',
    )
  const { train, notes, row } = trainOf(view, engine, transmission, another)
  // Nothing put in earlier is no preference: a new measurement or part may close it now.
  const prefer = row ? view.inserted.get(row.id) : undefined
  const context = contextOf(view)
  const { parts: insertable, cost } = view.insertables
  const leansOn = [
    train.engine,
    train.transmission,
    train.recipient,
    train.transfer ?? null,
    train.ownBell ?? null,
    ...train.coupling,
    context.tolerances,
    view.insertables,
  ]
  const words = JSON.stringify([context.use, context.placement, prefer, notes])
  const work = (records?: Records): PairingResult =>
    runPairing(train, context, insertable, {
      notes,
      cost,
      ...(prefer ? { prefer } : {}),
      ...(records ? { records } : {}),
    })
  const result = isKept
    ? pairingMemory.recall(leansOn, words, work)
    : work(
        recordsMemory.recall(
          [context.tolerances],
          `${context.use} ${context.placement}`,
          () => new Records(),
        ),
      )
  return { train, result, insertable, row, heard: hear(view, train, result) }
}

/** The train of a build's chosen pairing with the pieces put into it; null where engine or transmission is gone. */
export function chosenTrain(view: BuildView, row: RowOf<'pairing'>): Train | null {
  const { parts } = view.catalogue
  const [engine, transmission] = [parts.get(row.engineId), parts.get(row.transmissionId)]
  if (!engine || !transmission) return null
  const inserted = (view.inserted.get(row.id) ?? []).flatMap((id) => parts.get(id) ?? [])
  return { ...trainOf(view, engine, transmission).train, inserted }
}

function hear(view: BuildView, train: Train, result: PairingResult): PairingRun['heard'] {
  if (view.jointClaims.length === 0) return new Map()
  const inRun = new Set([...result.chosen, ...train.coupling.map((part) => part.id)])
  const kitsInRun = view.catalogue.trade.kits.filter((kit) => {
    const pieces = kit.items.filter((item) => {
      const part = view.catalogue.parts.get(item.partId)
      return part !== undefined && (isCouplingKind(part.kind) || insertionPlace(part) !== null)
    })
    return pieces.length > 0 && pieces.every((item) => inRun.has(item.partId))
  })
  const spoken = {
    engineId: train.engine.id,
    transmissionId: train.transmission.id,
    engineFamily: portOf(train.engine, 'face', 'rearward').family.v,
    transmissionFamily: portOf(train.transmission, 'face', 'forward').family.v,
    kitsInRun: new Set(kitsInRun.map((kit) => kit.id)),
  }
  return new Map(
    result.joints.map((joint) => [
      joint.joint,
      hearClaims(joint, jointNamed(joint.joint)!.place, view.jointClaims, spoken),
    ]),
  )
}
