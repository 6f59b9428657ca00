import { FACT_ROWS, isFactKey } from '../facts/index.ts'
import type { Template, TemplatePort } from './template.ts'

/** Years one may type of a vehicle, an engine or a gearbox. */
export const YEARS = { from: 1880, to: 2100 } as const

/** The last year of each band, and what one may assume of it: from memory, common practice, no published source. */
type Band = readonly [last: number, traits: string]

const VEHICLE: readonly Band[] = [
  [
    1954,
    'volts=six charge=dynamo booster=none steering=none cluster=senders electronics=none speedo=cable lock=no bags=no',
  ],
  [
    1964,
    'volts=twelve charge=dynamo cluster=senders electronics=none speedo=cable lock=no bags=no',
  ],
  [
    1984,
    'volts=twelve charge=alternator cluster=senders electronics=none speedo=cable lock=no bags=no',
  ],
  [
    1995,
    'volts=twelve charge=alternator cluster=senders electronics=none speedo=cable lock=no bags=no',
  ],
  [
    2002,
    'volts=twelve charge=alternator cluster=senders electronics=abs speedo=pulse lock=yes bags=yes',
  ],
  [
    Infinity,
    'volts=twelve charge=alternator cluster=bus electronics=stability speedo=bus throttle=wire lock=yes bags=yes',
  ],
]
/** Of a vehicle made for petrol, beside the rest. */
const PETROL_VEHICLE: readonly Band[] = [
  [1984, 'supply=low return=no evap=no'],
  [2002, 'supply=high return=yes evap=yes'],
  [Infinity, 'supply=high return=no evap=yes'],
]
/** A tractor keeps its age in its wires only. */
const TRACTOR: readonly Band[] = [
  [1954, 'volts=six charge=dynamo'],
  [1964, 'volts=twelve charge=dynamo'],
  [Infinity, 'volts=twelve charge=alternator'],
]
const PETROL: readonly Band[] = [
  [
    1984,
    'injection=carburettor return=no throttle=cable electronics=none spark=distributor emission=none charge=own',
  ],
  [
    1995,
    'injection=port return=yes throttle=cable electronics=plain spark=distributor emission=catalyst charge=own',
  ],
  [
    2002,
    'injection=port return=yes throttle=cable electronics=locked spark=coils emission=catalyst charge=own',
  ],
  [
    Infinity,
    'injection=port return=no throttle=wire electronics=bus spark=coils emission=catalyst charge=computer',
  ],
]
const DIESEL: readonly Band[] = [
  [1995, 'injection=pump electronics=none throttle=cable emission=none charge=own'],
  [2002, 'injection=pump electronics=locked throttle=cable emission=catalyst charge=own'],
  [Infinity, 'injection=rail electronics=bus throttle=wire emission=filter charge=computer'],
]
const MANUAL: readonly Band[] = [
  [1995, 'speedo=cable release=fork'],
  [2002, 'speedo=pulse release=fork'],
  [Infinity, 'speedo=pulse release=concentric'],
]
const AUTOMATIC: readonly Band[] = [
  [1984, 'speedo=cable'],
  [1995, 'speedo=pulse'],
  [Infinity, 'speedo=pulse control=electronic'],
]

const bandOf = (bands: readonly Band[], year: number): string =>
  bands.find(([last]) => year <= last)![1]

/** Which bands speak of a type, by its own traits. */
function bandsOf(kind: Template['kind'], traits: TemplatePort['fields']): (readonly Band[])[] {
  const said = (tail: string): unknown => traits[tail]?.[0]
  if (kind === 'engine') return [said('fuel') === 'diesel' ? DIESEL : PETROL]
  if (kind === 'transmission') return [said('control') === undefined ? MANUAL : AUTOMATIC]
  if (kind !== 'vehicle') return []
  if (said('layout') === 'tractor') return [TRACTOR]
  return said('fuel') === 'petrol' ? [VEHICLE, PETROL_VEHICLE] : [VEHICLE]
}

/**
 * A type as one of its year is assumed to be: what goes by age replaces what the type says, the rest stays.
 *
 * @throws TypeError where a band says what is no trait, or a value it never has
 */
export function ofYear(template: Template, year: number): Template {
  return {
    ...template,
    ports: template.ports.map((port) => {
      if (!port.kind.endsWith('-traits')) return port
      const owner = port.kind.slice(0, -'-traits'.length)
      const fields: Record<string, readonly [string]> = {}
      for (const bands of bandsOf(template.kind, port.fields))
        for (const one of bandOf(bands, year).split(' ')) {
          const [tail = '', value = ''] = one.split('=')
          const key = `${owner}.${tail}`
          if (!isFactKey(key) || !FACT_ROWS[key].values.includes(value))
            throw new TypeError(`"${one}" is no trait of a ${template.kind}.`)
          fields[tail] = [value]
        }
      return { ...port, fields: { ...port.fields, ...fields } }
    }),
  }
}

/** What a type is assumed to be, in facts: each key with its value. */
export const assumedOf = (template: Template): readonly (readonly [string, string])[] =>
  template.ports.flatMap(({ kind, fields }) =>
    kind.endsWith('-traits')
      ? Object.entries(fields).map(
          ([tail, [value]]) =>
            [`${kind.slice(0, -'-traits'.length)}.${tail}`, String(value)] as const,
        )
      : [],
  )
