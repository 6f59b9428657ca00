import { groupBy } from '../../../core/group.ts'
import type { Recipe } from '../../../core/needs/recipe.ts'
import type { JointClaim } from '../../../core/pairing/joint-claims.ts'
import type { PairingContext } from '../../../core/pairing/train.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { type Catalogue, loadCatalogue } from '../catalogue/catalogue.ts'
import { type Insertables, insertablesOf } from '../catalogue/insertables.ts'

export type ClaimRow = JointClaim & RowOf<'jointClaim'>

export interface BuildView {
  readonly build: RowOf<'build'>
  readonly catalogue: Catalogue
  readonly insertables: Insertables
  readonly pairings: readonly RowOf<'pairing'>[]
  readonly choices: readonly RowOf<'couplingChoice'>[]
  /** Parts put in, by pairing. */
  readonly inserted: ReadonlyMap<string, readonly string[]>
  readonly jointClaims: readonly ClaimRow[]
  /** Answers to the stopper questions, by question. */
  readonly stoppers: Readonly<Record<string, string>>
  /** The shop's own rows. */
  readonly recipes: readonly Recipe[]
  readonly ownLines: readonly RowOf<'ownLine'>[]
}

/** A build with everything its computing reads. */
export async function viewBuild(store: Store, buildId: string): Promise<BuildView> {
  const build = await store.get('build', buildId)
  const pairings = await store.list('pairing', { buildId })
  const ids = pairings.map((row) => row.id)
  const claims = await store.list('jointClaim')
  const catalogue = await loadCatalogue(store, buildId)
  return {
    build,
    catalogue,
    insertables: await insertablesOf(store, build, catalogue),
    pairings,
    choices: await store.listIn('couplingChoice', 'pairingId', ids),
    inserted: new Map(
      [...groupBy(await store.listIn('pairingPart', 'pairingId', ids), (row) => row.pairingId)].map(
        ([id, rows]) => [id, rows.map((row) => row.partId)],
      ),
    ),
    jointClaims: claims.filter(isClaim),
    recipes: (await store.list('recipe')).map(({ body }) => body),
    ownLines: await store.list('ownLine', { buildId }),
    stoppers: Object.fromEntries(
      claims
        .filter((claim) => claim.subject === 'stopper' && claim.buildId === buildId)
        .map((claim) => [String(claim.question), claim.says]),
    ),
  }
}

/** Of a joint, a kit or a build; answers to the stopper questions stand in the same table. */
const isClaim = (row: RowOf<'jointClaim'>): row is ClaimRow =>
  row.subject !== 'stopper' && row.says !== 'unknown'

/** What a build says of how its joints are judged. */
export function contextOf(view: BuildView): PairingContext {
  return {
    tolerances: view.catalogue.tolerances,
    use: view.build.use ?? undefined,
    placement: view.build.school === 'set-back' ? 'set-back' : 'keep',
  }
}
