import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Sqlite from 'better-sqlite3'
import { NUMBER_MATCHES, type NumberMatch } from '../core/identity/number-search.ts'
import { seeded } from '../core/seeded.ts'
import { openDatabase } from '../server/database/sqlite/connection.ts'
import { Store } from '../server/database/store.ts'
import { rebuild } from '../server/search/follow.ts'
import { find } from '../server/services/catalogue/find.ts'
import { listParts } from '../server/services/catalogue/parts-found.ts'
import { megabytes, type Row } from './row.ts'

const SEED = 41_720
const PARTS = 1_000_000
const OFFERS = 3_000_000
const ISSUERS = 40
const ASKED = 400
const KINDS = [
  'disc',
  'cover',
  'flywheel',
  'pilot',
  'engine-oil',
  'thermostat',
  'oil-filter',
  'belt',
]
const WORDS = [
  'clutch',
  'plate',
  'heavy',
  'marine',
  'early',
  'late',
  'short',
  'long',
  'harbour',
  'steel',
  'bronze',
  'sealed',
  'forged',
  'ribbed',
  'drilled',
  'coarse',
]

/** A shop of a million parts, each with its number, and three offers of each under it. */
function fill(file: string): void {
  const draw = seeded(SEED)
  const below = (most: number): number => draw() % most
  const database = new Sqlite(file)
  database.pragma('synchronous = OFF')
  const run = database.transaction(() => {
    for (let i = 0; i < ISSUERS; i++)
      database.prepare('INSERT INTO issuer (id, name) VALUES (?, ?)').run(`i${i}`, `Maker${i}`)
    for (let i = 0; i < 25; i++)
      database
        .prepare(
          `INSERT INTO supplier (id, name, currency, minimum_minor, shipping_minor) VALUES (?, ?, 'EUR', 0, 900)`,
        )
        .run(`s${i}`, `Seller ${i}`)
    const part = database.prepare('INSERT INTO part (id, kind, name) VALUES (?, ?, ?)')
    const number = database.prepare(
      'INSERT INTO part_number (id, part_id, issuer_id, number, normalised) VALUES (?, ?, ?, ?, ?)',
    )
    const offer = database.prepare(
      `INSERT INTO offer (id, part_id, supplier_id, issuer_id, number, normalised, price_minor, currency, stock, condition) VALUES (?, ?, ?, ?, ?, ?, ?, 'EUR', ?, 'new')`,
    )
    for (let i = 0; i < PARTS; i++) {
      const id = `p${String(i).padStart(7, '0')}`
      const kind = KINDS[below(KINDS.length)]!
      part.run(
        id,
        kind,
        `${WORDS[below(16)]} ${kind.replace('-', ' ')} ${WORDS[below(16)]} ${100 + below(9000)}`,
      )
      const key = numberOf(i)
      number.run(`n${i}`, id, `i${i % ISSUERS}`, key, key)
      for (let o = 0; o < OFFERS / PARTS; o++)
        offer.run(
          `o${i}-${o}`,
          id,
          `s${(i + o * 7) % 25}`,
          `i${i % ISSUERS}`,
          key,
          key,
          100 + below(90_000),
          below(40),
        )
    }
  })
  run()
  database.close()
}
/** Digits, spread out, each with a letter; every fortieth begins with noughts. */
const numberOf = (i: number): string => {
  const digits = String((i * 7_368_787) % 10_000_019).padStart(7, '0')
  return `${i % 40 === 0 ? '00' : ''}${digits}${'ABCDEO'[i % 6]}${i % 97}`
}

/** What is typed for each group of what is found, from a number that is there. */
const TYPED: Readonly<Record<NumberMatch, (key: string) => string>> = {
  equal: (key) => `Maker ${key.slice(0, 4)}-${key.slice(4)}`.slice(6),
  begins: (key) => key.slice(0, 5),
  'look-alike': (key) => key.replace('0', 'O').replace('1', 'I'),
  zeros: (key) => `0${key}`,
  suffix: (key) => key,
  holds: (key) => key.slice(2, 8),
  'one edit': (key) => `${key.slice(0, 3)}${key[4]}${key[3]}${key.slice(5)}`,
}

/** Search in a shop of a million parts and three million offers: warm, by group, and words. */
export async function benchSearch(): Promise<Row[]> {
  const rows: Row[] = []
  const folder = mkdtempSync(join(tmpdir(), 'junket-search-'))
  const file = join(folder, 'junket.sqlite')
  const say = (
    name: string,
    value: number,
    unit: string,
    goal: number | null,
    percentile?: string,
  ): void => {
    rows.push({
      name: `search: ${name}`,
      value: Math.round(value * 100) / 100,
      unit,
      goal,
      better: 'lower',
      runs: percentile ? ASKED : 1,
      seed: SEED,
      ...(percentile ? { percentile } : {}),
    })
  }
  try {
    await (await openDatabase(file)).destroy()
    fill(file)
    const knex = await openDatabase(file)
    const store = new Store(knex)
    const before = megabytes()
    let from = performance.now()
    await rebuild(store)
    say(
      '1,000,000 parts and 3,000,000 offers put into the index',
      (performance.now() - from) / 1000,
      's',
      null,
    )
    say('memory of putting them in', megabytes() - before, 'MB', null)
    const draw = seeded(SEED + 1)
    const timed = async (name: string, ask: (i: number) => Promise<unknown>): Promise<number[]> => {
      for (let i = 0; i < 40; i++) await ask(i)
      const times: number[] = []
      for (let i = 0; i < ASKED; i++) {
        from = performance.now()
        await ask(i)
        times.push(performance.now() - from)
      }
      times.sort((p, q) => p - q)
      say(name, times[Math.floor(0.95 * times.length)]!, 'ms', 20, 'p95')
      return times
    }
    const some = (): string => numberOf(draw() % PARTS)
    const mix: number[] = []
    for (const match of NUMBER_MATCHES)
      mix.push(...(await timed(`numbers, ${match}`, () => find(store, TYPED[match](some())))))
    mix.sort((p, q) => p - q)
    say('the mix of all seven', mix[Math.floor(0.95 * mix.length)]!, 'ms', 20, 'p95')
    const word = (): string => WORDS[draw() % 16]!
    await timed('two words', () => find(store, `${word()} ${word().slice(0, 4)}`))
    await timed('a misspelt word', () => find(store, `${word()} ${word().replace(/.$/, 'q')}x`))
    await timed('parts of a kind with two words, in stock, up to a price', () =>
      listParts(store, {
        q: `${word()} ${word()}`,
        kind: 'disc',
        isInStock: 'true',
        priceTo: 50_000,
        currency: 'EUR',
        limit: 100,
      }),
    )
    await knex.destroy()
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
  return rows
}
