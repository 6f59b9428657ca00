import { createHash } from 'node:crypto'
import type { ChangedCode } from '../../../contract/answers/pairings.ts'
import type { Code } from '../../../core/joints/code.ts'
import { recordTrain } from '../../../core/pairing/pairing.ts'
import type { CompiledPart } from '../../../core/ports/index.ts'
import type { Store } from '../../database/store.ts'
import { contextOf, viewBuild } from '../builds/build-view.ts'
import { judging } from './judging.ts'
import { chosenTrain } from './pairing-run.ts'

const TABLE = 'judgedPairing'

/** How a chosen pairing is judged now. */
export interface Judged {
  readonly pairingId: string
  /** What judges, by what its joints declare. */
  readonly judging: string
  /** The claims and tolerances it was judged from. */
  readonly inputs: string
  readonly codes: Readonly<Record<string, Code>>
}

const hash = (text: string): string => createHash('sha256').update(text).digest('hex')

/** Every chosen pairing as it is judged now, with the pieces put into it. */
export async function judgeChosen(store: Store): Promise<readonly Judged[]> {
  const judged: Judged[] = []
  for (const row of await store.list('pairing', { chosen: true })) {
    const view = await viewBuild(store, row.buildId)
    const train = chosenTrain(view, row)
    if (!train) continue
    const { engine, transmission, recipient, transfer, ownBell, coupling, inserted } = train
    const parts = [engine, transmission, recipient, transfer, ownBell, ...coupling, ...inserted]
    const claims = parts.flatMap((part) => (part ? claimsOf(part) : [])).sort()
    const context = contextOf(view)
    judged.push({
      pairingId: row.id,
      judging: judging(),
      inputs: hash(JSON.stringify([claims, context])),
      codes: Object.fromEntries(
        recordTrain(train, context).map(({ joint, code }) => [joint, code]),
      ),
    })
  }
  return judged
}

const claimsOf = ({ ports }: CompiledPart): string[] =>
  ports.flatMap((port) =>
    Object.values(port as Readonly<Record<string, unknown>>).flatMap((field) =>
      typeof field === 'object' && field !== null && 'claim' in field && field.claim
        ? [String(field.claim)]
        : [],
    ),
  )

/**
 * Keeps how pairings are judged, and notes each joint that reads otherwise since another program judged the same claims.
 * What was noted before stays until it is seen.
 */
export async function noteJudged(store: Store, judged: readonly Judged[]): Promise<void> {
  for (const { pairingId, judging: by, inputs, codes } of judged) {
    const before = (await store.knex(TABLE).where({ pairingId }).first()) as
      | { judging: string; inputs: string; codes: string; changed: string | null }
      | undefined
    const was = before ? (JSON.parse(before.codes) as Judged['codes']) : {}
    const isOfProgram = before && before.judging !== by && before.inputs === inputs
    const changed = isOfProgram
      ? Object.entries(codes).flatMap(([joint, code]): ChangedCode[] =>
          was[joint] === undefined || was[joint] === code
            ? []
            : [{ joint, was: was[joint], is: code }],
        )
      : []
    const told = changed.length > 0 ? JSON.stringify(changed) : (before?.changed ?? null)
    await store
      .knex(TABLE)
      .insert({ pairingId, judging: by, inputs, codes: JSON.stringify(codes), changed: told })
      .onConflict('pairingId')
      .merge()
  }
}

/** Joints of a build's chosen pairing that read otherwise since an upgrade, and were not seen yet. */
export async function changedByUpgrade(
  store: Store,
  buildId: string,
): Promise<readonly ChangedCode[]> {
  const [chosen] = await store.list('pairing', { buildId, chosen: true })
  if (!chosen) return []
  const row = (await store.knex(TABLE).where({ pairingId: chosen.id }).first()) as
    | { changed: string | null }
    | undefined
  return row?.changed ? (JSON.parse(row.changed) as ChangedCode[]) : []
}

/** They were seen: nothing is told of them any more. */
export async function seeUpgrade(store: Store, buildId: string): Promise<void> {
  for (const { id } of await store.list('pairing', { buildId, chosen: true }))
    await store.knex(TABLE).where({ pairingId: id }).update({ changed: null })
}
