import { TOLERANCES } from '../../core/joints/tolerances.ts'
import type { Store } from '../database/store.ts'
import { UnprocessableError } from '../errors.ts'

export interface Settings {
  readonly lengthUnit: 'mm' | 'in'
  /** Only what the shop changed. */
  readonly tolerances: Readonly<Record<string, number>>
}

export async function readSettings(store: Store): Promise<Settings> {
  const rows = new Map((await store.list('setting')).map((row) => [row.id, row.value]))
  return { lengthUnit: (rows.get('lengthUnit') as 'mm' | 'in' | undefined) ?? 'mm', tolerances: (rows.get('tolerances') as Record<string, number> | undefined) ?? {} }
}

export async function writeSettings(store: Store, patch: { lengthUnit?: 'mm' | 'in' | undefined; tolerances?: Record<string, number | null> | undefined }): Promise<Settings> {
  const unknown = Object.keys(patch.tolerances ?? {}).filter((name) => !Object.hasOwn(TOLERANCES, name))
  if (unknown.length > 0) throw new UnprocessableError(`There is no tolerance ${unknown.join(', ')}.`)
  return store.transaction(async (tx) => {
    const put = async (id: string, value: unknown): Promise<void> => {
      const held = await tx.find('setting', id)
      if (held) await tx.update('setting', id, held.version, { value })
      else await tx.insert('setting', { id, value })
    }
    if (patch.lengthUnit) await put('lengthUnit', patch.lengthUnit)
    if (patch.tolerances) {
      const merged = Object.entries({ ...(await readSettings(tx)).tolerances, ...patch.tolerances }).filter(([, value]) => value !== null)
      await put('tolerances', Object.fromEntries(merged))
    }
    return readSettings(tx)
  })
}
