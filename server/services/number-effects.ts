import type { RowOf, Store } from '../database/store.ts'
import { type NumberKey, rowsNaming, saidOfNumbers } from './numbers-of-part.ts'
import { usedIn } from './used-in.ts'

/** So many of each sort are named. */
const NAMED = 3
const some = (all: readonly string[]): string =>
  `${all.slice(0, NAMED).join(', ')}${all.length > NAMED ? ` and ${all.length - NAMED} more` : ''}`
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
  const line = (all: readonly string[], words: (named: string) => string): string[] =>
    all.length === 0 ? [] : [words(some([...new Set(all)]))]
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
    ...line(builds, (named) => `The lists of ${named} are checked by it from now on.`),
  ]
}
