import { groupBy } from '../../core/group.ts'
import type { Use } from '../../core/joints/joint.ts'
import type { JointClaim } from '../../core/pairing/joint-claims.ts'
import type { PairingContext } from '../../core/pairing/train.ts'
import type { Row, Store } from '../database/store.ts'
import { type Catalogue, loadCatalogue } from './catalogue.ts'
import { type Insertables, insertablesOf } from './insertables.ts'

export type ClaimRow = JointClaim & Row

export interface BuildView {
  readonly build: Row
  readonly catalogue: Catalogue
  readonly insertables: Insertables
  readonly pairings: readonly Row[]
  readonly choices: readonly Row[]
  /** Parts put in, by pairing. */
  readonly inserted: ReadonlyMap<string, readonly string[]>
  readonly jointClaims: readonly ClaimRow[]
  /** Answers to the stopper questions, by question. */
  readonly stoppers: Readonly<Record<string, string>>
}

/** A build with everything its computing reads. */
export async function viewBuild(store: Store, buildId: string): Promise<BuildView> {
  const build = await store.get('build', buildId)
  const pairings = await store.list('pairing', { buildId })
  const ids = pairings.map((row) => row.id)
  const claims = await store.list<ClaimRow>('jointClaim')
  const catalogue = await loadCatalogue(store, buildId)
  const isStopper = (claim: Row): boolean => claim.subject === 'stopper'
  return {
    build,
    catalogue,
    insertables: await insertablesOf(store, build, catalogue),
    pairings,
    choices: await store.listIn('couplingChoice', 'pairingId', ids),
    inserted: new Map(
      [
        ...groupBy(await store.listIn('pairingPart', 'pairingId', ids), (row) =>
          String(row.pairingId),
        ),
      ].map(([id, rows]) => [id, rows.map((row) => String(row.partId))]),
    ),
    jointClaims: claims.filter((claim) => !isStopper(claim)),
    stoppers: Object.fromEntries(
      claims
        .filter((claim) => isStopper(claim) && (claim as Row).buildId === buildId)
        .map((claim) => [String((claim as Row).question), String(claim.says)]),
    ),
  }
}

/** What a build says of how its joints are judged. */
export function contextOf(view: BuildView): PairingContext {
  return {
    tolerances: view.catalogue.tolerances,
    use: (view.build.use as Use | null) ?? undefined,
    placement: view.build.school === 'set-back' ? 'set-back' : 'keep',
  }
}
