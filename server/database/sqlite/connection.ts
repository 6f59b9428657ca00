import { mkdirSync } from 'node:fs'
import { dirname } from 'node:path'
import knexFactory, { type Knex } from 'knex'
import * as createTables from '../migrations/20261125_0001_create_tables.ts'
import * as addPeople from '../migrations/20261125_0002_add_people_claims_and_sheets.ts'
import * as addMatingCards from '../migrations/20261125_0003_add_mating_cards.ts'
import * as addBuildSheets from '../migrations/20261125_0004_add_build_sheets.ts'
import * as addIndexes from '../migrations/20261128_0005_add_indexes.ts'
import * as addPairingParts from '../migrations/20261128_0006_add_pairing_parts.ts'
import * as addPatternMatches from '../migrations/20261128_0007_add_pattern_matches.ts'
import * as addPhotos from '../migrations/20261128_0008_add_photos.ts'
import * as makeRatesDecimal from '../migrations/20261128_0009_make_rates_decimal.ts'
import * as strikeClaimsOut from '../migrations/20261128_0010_strike_claims_out.ts'
import * as addSales from '../migrations/20261128_0011_add_sales_and_what_is_missing.ts'
import * as lockItems from '../migrations/20261129_0012_lock_items_of_bundles.ts'
import * as onePlace from '../migrations/20261129_0013_list_pieces_in_one_place.ts'
import * as addJudged from '../migrations/20261129_0014_add_judged_pairings.ts'
import * as decideByReasons from '../migrations/20261129_0015_decide_by_reasons.ts'
import * as keepReasons from '../migrations/20261129_0016_keep_pairing_reasons.ts'
import * as rulesOfIssuers from '../migrations/20261129_0017_rules_of_issuers.ts'
import * as claimsOnNumbers from '../migrations/20261129_0018_claims_on_numbers.ts'
import * as search from '../migrations/20261129_0019_search.ts'
import * as listsOfSuppliers from '../migrations/20261129_0020_lists_of_suppliers.ts'
import * as standingAndFeeds from '../migrations/20261130_0021_standing_and_feeds.ts'
import * as kitsWatchedAndArrived from '../migrations/20261130_0022_kits_watched_and_arrived.ts'
import * as keptByName from '../migrations/20261130_0023_kept_by_name.ts'

/** Every migration, oldest first. Forward only. */
export const MIGRATIONS = [
  { name: '20261125_0001_create_tables', ...createTables },
  { name: '20261125_0002_add_people_claims_and_sheets', ...addPeople },
  { name: '20261125_0003_add_mating_cards', ...addMatingCards },
  { name: '20261125_0004_add_build_sheets', ...addBuildSheets },
  { name: '20261128_0005_add_indexes', ...addIndexes },
  { name: '20261128_0006_add_pairing_parts', ...addPairingParts },
  { name: '20261128_0007_add_pattern_matches', ...addPatternMatches },
  { name: '20261128_0008_add_photos', ...addPhotos },
  { name: '20261128_0009_make_rates_decimal', ...makeRatesDecimal },
  { name: '20261128_0010_strike_claims_out', ...strikeClaimsOut },
  { name: '20261128_0011_add_sales_and_what_is_missing', ...addSales },
  { name: '20261129_0012_lock_items_of_bundles', ...lockItems },
  { name: '20261129_0013_list_pieces_in_one_place', ...onePlace },
  { name: '20261129_0014_add_judged_pairings', ...addJudged },
  { name: '20261129_0015_decide_by_reasons', ...decideByReasons },
  { name: '20261129_0016_keep_pairing_reasons', ...keepReasons },
  { name: '20261129_0017_rules_of_issuers', ...rulesOfIssuers },
  { name: '20261129_0018_claims_on_numbers', ...claimsOnNumbers },
  { name: '20261129_0019_search', ...search },
  { name: '20261129_0020_lists_of_suppliers', ...listsOfSuppliers },
  { name: '20261130_0021_standing_and_feeds', ...standingAndFeeds },
  { name: '20261130_0022_kits_watched_and_arrived', ...kitsWatchedAndArrived },
  { name: '20261130_0023_kept_by_name', ...keptByName },
]

export type Database = Knex

const snake = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)
const camelNames = new Map<string, string>()
/** The same few names in every row. */
function camel(name: string): string {
  let found = camelNames.get(name)
  if (found === undefined)
    camelNames.set(
      name,
      (found = name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase())),
    )
  return found
}
const camelRow = (row: unknown): unknown =>
  row !== null && typeof row === 'object' && !Array.isArray(row)
    ? renamed(row as Record<string, unknown>)
    : row
function renamed(row: Record<string, unknown>): Record<string, unknown> {
  const out: Record<string, unknown> = {}
  for (const key in row) out[camel(key)] = row[key]
  return out
}

/** Opens (and makes) a database file, `:memory:` or a copy in a buffer for tests, and brings it up to date. */
export async function openDatabase(
  file: string | Buffer,
  migrations: typeof MIGRATIONS = MIGRATIONS,
): Promise<Database> {
  if (typeof file === 'string' && file !== ':memory:') mkdirSync(dirname(file), { recursive: true })
  const knex = connect(file, migrations)
  await knex.migrate.latest()
  return knex
}

/** A connection of its own to a database that is up to date already. */
export function connect(
  file: string | Buffer,
  migrations: typeof MIGRATIONS = MIGRATIONS,
): Database {
  return knexFactory({
    client: 'better-sqlite3',
    connection: { filename: file as string },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate: (
        connection: { pragma: (text: string) => void },
        done: (error: Error | null) => void,
      ) => {
        for (const pragma of [
          'journal_mode = WAL',
          'foreign_keys = ON',
          'busy_timeout = 5000',
          'synchronous = FULL',
        ])
          connection.pragma(pragma)
        done(null)
      },
    },
    wrapIdentifier: (value: string | undefined, wrap) =>
      value === undefined || value === '*' ? wrap(value ?? '') : wrap(snake(value)),
    postProcessResponse: (result) =>
      Array.isArray(result) ? result.map(camelRow) : camelRow(result),
    migrations: {
      migrationSource: {
        getMigrations: async () => migrations,
        getMigrationName: (migration: (typeof MIGRATIONS)[number]) => migration.name,
        getMigration: async (migration: (typeof MIGRATIONS)[number]) => migration,
      },
    },
  })
}

/** Sees to it that a connection never writes. */
export const onlyRead = (knex: Database): Promise<unknown> =>
  Promise.resolve(knex.raw('PRAGMA query_only = ON'))

/** Puts everything acknowledged into the one file; what stands beside it then is empty. */
export async function gatherInFile(knex: Database): Promise<void> {
  await knex.raw('PRAGMA wal_checkpoint(TRUNCATE)')
  await knex.raw('PRAGMA journal_mode = DELETE')
}

/** The file under a database; null where it is kept in memory. */
export function fileOf(knex: Database): string | null {
  const { filename } = knex.client.config.connection as { filename: unknown }
  return typeof filename === 'string' && filename !== ':memory:' ? filename : null
}
