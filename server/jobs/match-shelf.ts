import { createHash } from 'node:crypto'
import { deserialize, serialize } from 'node:v8'
import type { Knex } from 'knex'
import { type MatchShelf, SEARCH } from '../../core/joints/search/pattern-match.ts'

type Match = ReturnType<MatchShelf['find']> & object
export type KeptMatch = readonly [key: string, match: Uint8Array]

const TABLE = 'patternMatch'
/** Rows in one statement. */
const AT_ONCE = 200
/** More are not kept, nor read back at a start: then it begins anew. */
const MOST = 20_000
/** How long finds are gathered before they are handed over. */
const TOGETHER_MS = 500

const keyOf = (patterns: string): string => createHash('sha256').update(patterns).digest('hex')

/**
 * What searches of two patterns found, read from the database once; what is found anew is handed over in batches,
 * for the connection that writes.
 */
export async function readMatches(
  knex: Knex,
  handOver: (found: readonly KeptMatch[]) => void,
): Promise<MatchShelf> {
  const rows: { key: string; match: Buffer }[] = await knex(TABLE)
    .where({ search: SEARCH })
    .limit(MOST)
    .select('key', 'match')
  const known = new Map(rows.map(({ key, match }) => [key, match]))
  let found: KeptMatch[] = []
  const hand = (): void => {
    handOver(found)
    found = []
  }
  return {
    find: (patterns) => {
      const held = known.get(keyOf(patterns))
      return held && (deserialize(held) as Match)
    },
    keep: (patterns, match) => {
      if (found.length === 0) setTimeout(hand, TOGETHER_MS).unref()
      found.push([keyOf(patterns), serialize(match)])
    },
  }
}

/** Writes what was found; what an older search found goes, and all of it where there is too much. */
export async function writeMatches(knex: Knex, found: readonly KeptMatch[]): Promise<void> {
  await knex(TABLE).whereNot({ search: SEARCH }).delete()
  const [held] = (await knex(TABLE).count({ n: '*' })) as { n: number }[]
  if (held!.n + found.length > MOST) await knex(TABLE).delete()
  for (let from = 0; from < found.length; from += AT_ONCE) {
    const rows = found
      .slice(from, from + AT_ONCE)
      .map(([key, match]) => ({ key, search: SEARCH, match: Buffer.from(match) }))
    await knex(TABLE).insert(rows).onConflict('key').ignore()
  }
}
