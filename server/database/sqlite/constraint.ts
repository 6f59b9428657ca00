import { TABLE_NAMES, type TableName } from '../tables.ts'

/** A rule of the database that a write broke, in words of the shop. */
export interface BrokenRule {
  readonly message: string
  readonly table?: TableName
  readonly field?: string
}

const camel = (name: string): string =>
  name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase())
const words = (name: string): string =>
  name.replace(/Id$/, '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)

/** Unique indexes whose columns say less than this. */
const TOGETHER: Readonly<Record<string, string>> = {
  partNumber: 'The number is taken already: another part has it.',
  offer: 'The same supplier, issuer, number, condition and pack are here already.',
  part: 'That kind has its default piece already.',
  generation: 'A break of that name is there already, of that family.',
  pairing: 'That engine and transmission are paired in this build already.',
}

/** What a constraint of the database says, without its words; null for any other error. */
export function brokenRule(error: { code?: string; message?: string }): BrokenRule | null {
  if (!error.code?.startsWith('SQLITE_CONSTRAINT')) return null
  if (error.code === 'SQLITE_CONSTRAINT_FOREIGNKEY')
    return { message: 'Something else still uses it, or it names something that is not here.' }
  const named = /(?:UNIQUE|NOT NULL) constraint failed: ([\w.]+)(?:, ([\w., ]+))?/.exec(
    error.message ?? '',
  )
  const [table = '', column = ''] = named?.[1]?.split('.').map(camel) ?? []
  const known = (TABLE_NAMES as readonly string[]).includes(table)
    ? { table: table as TableName, field: column }
    : {}
  if (error.code === 'SQLITE_CONSTRAINT_NOTNULL')
    return { message: `The ${words(column)} is missing.`, ...known }
  if (error.code === 'SQLITE_CONSTRAINT_UNIQUE' || error.code === 'SQLITE_CONSTRAINT_PRIMARYKEY') {
    if (column === 'id' || !named)
      return {
        message: Object.hasOwn(TOGETHER, table) ? TOGETHER[table]! : 'It is here already.',
        ...known,
      }
    return {
      message: Object.hasOwn(TOGETHER, table)
        ? TOGETHER[table]!
        : `Another ${words(table)} has the same ${words(column)}.`,
      ...known,
    }
  }
  return { message: 'A value of it is out of its range.', ...known }
}
