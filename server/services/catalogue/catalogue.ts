import { tolerances } from '../../../core/joints/tolerances.ts'
import { own } from '../../../core/own.ts'
import type { FieldWords } from '../../../core/ports/field.ts'
import { type CompiledPart, isPortKind, PORT_KINDS } from '../../../core/ports/index.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { compiledShelf } from './shelf.ts'
import { loadTrade, type Trade } from './trade.ts'

/** Everything a build's computing reads: the same object until something in it changed. */
export interface Catalogue {
  readonly parts: ReadonlyMap<string, CompiledPart>
  /** Parts of each kind, by id. */
  readonly kinds: ReadonlyMap<string, readonly CompiledPart[]>
  /** Part rows by id: owner, default, years. */
  readonly rows: ReadonlyMap<string, RowOf<'part'>>
  /** Parts of a kind, by id. */
  ofKind(kind: string): readonly CompiledPart[]
  /** Rows of the parts that came with a part. */
  ownedBy(owner: string): readonly RowOf<'part'>[]
  readonly trade: Trade
  readonly tolerances: ReturnType<typeof tolerances>
}

const catalogues = new WeakMap<
  object,
  Map<string, { readonly madeOf: readonly unknown[]; readonly catalogue: Catalogue }>
>()

/** The catalogue as one build sees it (its specimens are "this very part"); without a build, as the shop sees it. Never inside a transaction: commands check and write, they do not plan. */
export async function loadCatalogue(store: Store, buildId: string | null): Promise<Catalogue> {
  if (store.inTransaction)
    throw new Error('The catalogue is not read inside a transaction: plan before it.')
  const [shelf, trade, settings] = await Promise.all([
    compiledShelf(store, buildId),
    loadTrade(store),
    store.find('setting', 'tolerances'),
  ])
  const tolerance = tolerancesOnce(JSON.stringify(settings?.value ?? {}))
  const madeOf = [shelf, trade, tolerance]
  let held = catalogues.get(store.root)
  if (!held) catalogues.set(store.root, (held = new Map()))
  const found = held.get(buildId ?? '')
  if (found?.madeOf.every((one, i) => one === madeOf[i])) return found.catalogue
  const catalogue: Catalogue = {
    ...shelf,
    ofKind: (kind) => shelf.kinds.get(kind) ?? [],
    trade,
    tolerances: tolerance,
  }
  held.set(buildId ?? '', { madeOf, catalogue })
  return catalogue
}

const heldTolerances = new Map<string, Catalogue['tolerances']>()

/** The same object for the same settings, so that what leans on it can be kept by identity. */
function tolerancesOnce(settings: string): Catalogue['tolerances'] {
  const held =
    heldTolerances.get(settings) ?? tolerances(JSON.parse(settings) as Record<string, number>)
  heldTolerances.set(settings, held)
  return held
}

/** Words of one field of a port kind; null when there is no such field. */
export function fieldWords(kind: string, field: string): FieldWords<unknown> | null {
  return isPortKind(kind)
    ? (own(PORT_KINDS[kind].fields as Record<string, FieldWords<unknown>>, field) ?? null)
    : null
}
