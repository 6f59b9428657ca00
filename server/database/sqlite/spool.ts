import { deserialize, serialize } from 'node:v8'
import type { Knex } from 'knex'

let made = 0

/** Values put by in a temporary table of a connection, to be read again in their order: on disk, where they are many. */
export class Spool<T> {
  readonly #knex: Knex
  readonly #table = `spool_${++made}`
  #isMade = false

  constructor(knex: Knex) {
    this.#knex = knex
  }

  async put(value: T): Promise<void> {
    if (!this.#isMade) await this.#knex.raw(`CREATE TEMP TABLE ${this.#table} (value BLOB)`)
    this.#isMade = true
    await this.#knex.raw(`INSERT INTO temp.${this.#table} VALUES (?)`, [serialize(value)])
  }

  async *values(): AsyncGenerator<T> {
    if (!this.#isMade) return
    for (let last = 0; ; ) {
      const [row] = (await this.#knex.raw(
        `SELECT rowid AS at, value FROM temp.${this.#table} WHERE rowid > ? ORDER BY rowid LIMIT 1`,
        [last],
      )) as { at: number; value: Buffer }[]
      if (!row) return
      last = row.at
      yield deserialize(row.value)
    }
  }

  async close(): Promise<void> {
    if (this.#isMade) await this.#knex.raw(`DROP TABLE temp.${this.#table}`)
    this.#isMade = false
  }
}
