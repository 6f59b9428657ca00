import { groupBy } from '../../../core/group.ts'
import { looksLike } from '../../../core/identity/looks-alike.ts'
import type { Store } from '../../database/store.ts'
import { type NumberKey, rowsNaming } from './numbers-of-part.ts'

interface Typed extends NumberKey {
  readonly line: number
  readonly number: string
}

/**
 * Numbers that nobody knew yet and that are easily mistaken for one that is known (O for 0, I for 1, zeros in front), or for
 * another of the same list: likely the same one, typed twice.
 */
export class LookAlikes {
  /** Of those that came, the ones that look otherwise than they read. */
  readonly #odd = new Map<string, string>()
  readonly #notes: string[] = []
  #count = 0

  /**
   * Takes numbers in that no part bears yet.
   * @param isMet whether the list held a number before these
   */
  async add(
    store: Store,
    numbers: readonly Typed[],
    isMet: (number: NumberKey) => boolean,
  ): Promise<void> {
    for (const [issuerId, own] of groupBy(numbers, (one) => one.issuerId)) {
      const known = await knownLike(store, issuerId, own)
      for (const { line, number, normalised } of own) {
        const like = looksLike(normalised)
        const key = `${issuerId} ${like}`
        const isOdd = like !== normalised
        const met = isOdd && isMet({ issuerId, normalised: like }) ? like : undefined
        const twin = this.#odd.get(key) ?? known.get(like) ?? met
        if (isOdd) this.#odd.set(key, number)
        if (twin === undefined || twin === number) continue
        this.#count++
        if (this.#notes.length < NAMED)
          this.#notes.push(
            `Line ${line}: ${number} is new, and easily mistaken for ${twin}. Is it the same?`,
          )
      }
    }
  }

  /** The first of them in words, and how many more there are. */
  notes(): string[] {
    const more = this.#count - this.#notes.length
    return more > 0
      ? [...this.#notes, `${more} more new numbers are easily mistaken for another.`]
      : this.#notes
  }
}
const NAMED = 20
const AT_ONCE = 400

/** Known numbers of an issuer by what they look like, as far as they look like these and are others. */
async function knownLike(
  store: Store,
  issuerId: string,
  numbers: readonly Typed[],
): Promise<ReadonlyMap<string, string>> {
  const own = new Set(numbers.map(({ normalised }) => normalised))
  const found: NumberKey[] = []
  for (const [column, of] of [
    ['folded', (key: string) => key.replaceAll('O', '0').replaceAll('I', '1')],
    ['bare', (key: string) => key.replace(/^0+/, '')],
  ] as const) {
    const wanted = [...new Set([...own].map(of))]
    for (let i = 0; i < wanted.length; i += AT_ONCE) {
      const rows = (await store
        .knex('search_number')
        .whereIn(column, wanted.slice(i, i + AT_ONCE))
        .where({ issuerId })
        .select('key')) as { key: string }[]
      for (const { key } of rows) if (!own.has(key)) found.push({ issuerId, normalised: key })
    }
  }
  if (found.length === 0) return new Map()
  return new Map(
    (await rowsNaming(store, 'partNumber', found)).flatMap(({ normalised, number, struckDay }) =>
      struckDay === null ? [[looksLike(normalised), number]] : [],
    ),
  )
}
