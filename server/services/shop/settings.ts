import type { PAPERS } from '../../../contract/stored.ts'
import { TOLERANCES } from '../../../core/joints/tolerances.ts'
import { own } from '../../../core/own.ts'
import { WEIGHTS } from '../../../core/pairing/weigh.ts'
import { UNIT_CHOICES, type Units } from '../../../core/quantity/units.ts'
import type { Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'

export interface Settings {
  /** The unit each kind of field is shown in; absent = as stored. */
  readonly units: Units
  /** Only what the shop changed. */
  readonly tolerances: Readonly<Record<string, number>>
  /** Whose day is today; this computer's until somebody chooses. */
  readonly timeZone: string
  /** What is printed on. */
  readonly paper: (typeof PAPERS)[number]
  /** What pairings are weighed by, where the shop changed it, whole euros. */
  readonly weights: Readonly<Record<string, number>>
}

export async function readSettings(store: Store): Promise<Settings> {
  const rows = new Map((await store.list('setting')).map((row) => [row.id, row.value]))
  return {
    units: (rows.get('units') as Units | undefined) ?? {},
    tolerances: (rows.get('tolerances') as Record<string, number> | undefined) ?? {},
    timeZone:
      (rows.get('timeZone') as string | undefined) ??
      Intl.DateTimeFormat().resolvedOptions().timeZone,
    paper: (rows.get('paper') as Settings['paper'] | undefined) ?? 'A4',
    weights: (rows.get('weights') as Record<string, number> | undefined) ?? {},
  }
}

export async function writeSettings(
  store: Store,
  patch: {
    units?: Partial<Record<string, string>> | undefined
    tolerances?: Record<string, number | null> | undefined
    timeZone?: string | undefined
    paper?: Settings['paper'] | undefined
    weights?: Record<string, number | null> | undefined
  },
): Promise<Settings> {
  const unknown = Object.keys(patch.tolerances ?? {}).filter(
    (name) => !Object.hasOwn(TOLERANCES, name),
  )
  if (unknown.length > 0)
    throw new UnprocessableError(`There is no tolerance ${unknown.join(', ')}.`)
  const strange = Object.keys(patch.weights ?? {}).filter((name) => !Object.hasOwn(WEIGHTS, name))
  if (strange.length > 0)
    throw new UnprocessableError(
      `Pairings are not weighed by ${strange.join(', ')}. There are: ${Object.keys(WEIGHTS).join(', ')}.`,
    )
  for (const [stored, shown] of Object.entries(patch.units ?? {}))
    if (!own(UNIT_CHOICES as Record<string, readonly string[]>, stored)?.includes(shown ?? ''))
      throw new UnprocessableError(`"${shown}" is not a unit ${stored} can be shown in.`)
  return store.transaction(async (tx) => {
    const put = async (id: string, value: unknown): Promise<void> => {
      const held = await tx.find('setting', id)
      if (held) await tx.update('setting', id, held.version, { value })
      else await tx.insert('setting', { id, value })
    }
    if (patch.units) await put('units', { ...(await readSettings(tx)).units, ...patch.units })
    if (patch.timeZone) await put('timeZone', patch.timeZone)
    if (patch.paper) await put('paper', patch.paper)
    for (const name of ['tolerances', 'weights'] as const) {
      const said = patch[name]
      if (!said) continue
      const merged = Object.entries({ ...(await readSettings(tx))[name], ...said })
      await put(name, Object.fromEntries(merged.filter(([, value]) => value !== null)))
    }
    return readSettings(tx)
  })
}
