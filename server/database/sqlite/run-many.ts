import type { Knex } from 'knex'

interface Statement {
  run(values: readonly SqlValue[]): unknown
}
/** Statements of each connection: made anew each time they would pile up until they are swept. */
const made = new WeakMap<Connection, Map<string, Statement>>()
const MOST = 16

function statementOf(connection: Connection, sql: string): Statement {
  let own = made.get(connection)
  if (!own) made.set(connection, (own = new Map()))
  let statement = own.get(sql)
  if (!statement) {
    if (own.size >= MOST) own.clear()
    own.set(sql, (statement = connection.prepare(sql)))
  }
  return statement
}

/** What of better-sqlite3 is used. */
interface Connection {
  readonly inTransaction: boolean
  prepare(sql: string): Statement
  transaction(work: () => void): () => void
}

/** A value as SQLite takes it. */
export type SqlValue = string | number | bigint | Uint8Array | null

/** One statement, made once and run for each row, in the transaction that is open, else in one of its own. */
export async function runMany(
  knex: Knex,
  sql: string,
  rows: Iterable<readonly SqlValue[]>,
): Promise<void> {
  const connection: Connection = await knex.client.acquireConnection()
  try {
    const statement = statementOf(connection, sql)
    const run = (): void => {
      for (const row of rows) statement.run(row)
    }
    if (connection.inTransaction) run()
    else connection.transaction(run)()
  } finally {
    await knex.client.releaseConnection(connection)
  }
}
