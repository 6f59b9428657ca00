import type { RowOf, Store } from '../../database/store.ts'
import { type NumberKey, rowsNaming, saidOfNumbers } from '../numbers/numbers-of-part.ts'
import { usedIn } from './used-in.ts'

/** So many of each sort are named. */
const NAMED = 3
const some = (all: readonly string[]): string =>
  `${all.slice(0, NAMED).join(', ')}${all.length > NAMED ? ` and ${all.length - NAMED} more` : ''}`
const line = (all: readonly string[], words: (named: string) => string): string[] =>
  all.length === 0 ? [] : [words(some([...new Set(all)]))]
const checked = (named: string): string => `The lists of ${named} are checked by it from now on.`
const isStanding = ({ struckDay }: { readonly struckDay?: string | null }): boolean =>
  struckDay == null

/** What a number of a part brings along, in sentences: who else bears it, what replaced it, what it fits, who sells it, which builds hang on it. */
export async function numberEffects(
  store: Store,
  { partId, issuerId, normalised }: Pick<RowOf<'partNumber'>, 'partId'> & NumberKey,
): Promise<string[]> {
  const key = { issuerId, normalised }
  const [said, bearing, offers, uses] = await Promise.all([
    saidOfNumbers(store, [key]),
    rowsNaming(store, 'partNumber', [key]),
    store.readIn('offer', 'normalised', [normalised], { issuerId }),
    usedIn(store, [partId]),
  ])
  const others = await store.listIn('part', 'id', [
    ...new Set(
      bearing.filter(isStanding).flatMap((row) => (row.partId === partId ? [] : row.partId)),
    ),
  ])
  const isIn = (side: 'old' | 'new') => {
    const own = new Set(
      said.supersessionNumbers
        .filter((one) => one.side === side && one.normalised === normalised)
        .map(({ supersessionId }) => supersessionId),
    )
    const standing = new Set(
      said.supersessions.filter((row) => isStanding(row) && own.has(row.id)).map(({ id }) => id),
    )
    return said.supersessionNumbers.flatMap((one) =>
      standing.has(one.supersessionId) && one.side !== side ? one.number : [],
    )
  }
  const families = said.applications
    .filter((row) => isStanding(row) && row.fits === 'yes')
    .flatMap(({ scope }) => Object.values(scope?.targets ?? {}).flatMap((one) => one?.family ?? []))
  const groups = said.interchanges.filter(isStanding).length
  const builds = (uses.get(partId) ?? []).map(({ name }) => name)
  return [
    ...line(
      others.map(({ name }) => name),
      (named) => `${named} bears it too.`,
    ),
    ...line(isIn('old'), (named) => `It was replaced by ${named}.`),
    ...line(isIn('new'), (named) => `It replaced ${named}.`),
    ...(groups > 0
      ? [`It stands in ${groups} ${groups === 1 ? 'group' : 'groups'} of interchange.`]
      : []),
    ...line(families, (named) => `It is listed for ${named}.`),
    ...(offers.length > 0
      ? [`${offers.length} ${offers.length === 1 ? 'offer is' : 'offers are'} sold under it.`]
      : []),
    ...line(builds, checked),
  ]
}

/** What a claim on numbers touches, in sentences: parts that bear one of them, what is sold under them, which builds hang on these. */
export async function claimEffects(store: Store, keys: readonly NumberKey[]): Promise<string[]> {
  const bearing = (await rowsNaming(store, 'partNumber', keys)).filter(isStanding)
  const ids = [...new Set(bearing.map(({ partId }) => partId))]
  const [parts, uses, ...sold] = await Promise.all([
    store.listIn('part', 'id', ids),
    usedIn(store, ids),
    ...keys.map(({ issuerId, normalised }) =>
      store.readIn('offer', 'normalised', [normalised], { issuerId }),
    ),
  ])
  const offers = new Set(sold.flat().map(({ id }) => id)).size
  if (parts.length + offers === 0)
    return ['No part here bears one of its numbers yet, and nothing is sold under them.']
  return [
    ...line(
      parts.map(({ name }) => name),
      (named) => `It tells of ${named}.`,
    ),
    ...(offers > 0
      ? [`${offers} ${offers === 1 ? 'offer is' : 'offers are'} sold under its numbers.`]
      : []),
    ...line(
      [...uses.values()].flatMap((own) => own.map(({ name }) => name)),
      checked,
    ),
  ]
}
