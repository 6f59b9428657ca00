import { demoDocument } from '../../demo/index.ts'
import { follow } from '../search/follow.ts'
import { importDocument } from '../services/builds/build-document.ts'
import { type Database, openDatabase } from './sqlite/connection.ts'
import { Store } from './store.ts'

let seeded: Buffer | null = null

/** A database in memory that holds the demo, for tests: imported once a file, then copied byte for byte. */
export async function demoDatabase(): Promise<Database> {
  if (!seeded) {
    const first = await openDatabase(':memory:')
    const store = new Store(first)
    await importDocument(store, demoDocument())
    // What is looked for is found at once, however slow the machine.
    await follow(store)
    const connection = await first.client.acquireConnection()
    seeded = connection.serialize() as Buffer
    await first.client.releaseConnection(connection)
    await first.destroy()
  }
  return openDatabase(Buffer.from(seeded))
}

/** The same data in a database that nothing is remembered of. */
export async function copyOf(of: Database): Promise<Database> {
  const connection = await of.client.acquireConnection()
  const bytes = Buffer.from(connection.serialize() as Buffer)
  await of.client.releaseConnection(connection)
  return openDatabase(bytes)
}
