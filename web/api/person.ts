import { useSyncExternalStore } from 'react'
import type { Decimal } from '../../core/quantity/units.ts'

/** Who is at the bench: a name, no login. Claims and changes carry it. */
export interface Person {
  readonly id: string | null
  readonly name: string | null
  readonly decimal: Decimal
}

const NOBODY: Person = { id: null, name: null, decimal: 'ask' }
const listeners = new Set<() => void>()
let current = read()

function read(): Person {
  try {
    return { ...NOBODY, ...JSON.parse(localStorage.getItem('person') ?? '{}') }
  } catch {
    return NOBODY
  }
}

export const personNow = (): Person => current

/** Another person steps to the bench; null: nobody in particular. */
export function setPerson(person: Person | null): void {
  current = person ?? NOBODY
  localStorage.setItem('person', JSON.stringify(current))
  for (const listen of listeners) listen()
}

export const usePerson = (): Person =>
  useSyncExternalStore(
    (listen) => {
      listeners.add(listen)
      return () => listeners.delete(listen)
    },
    personNow,
    () => NOBODY,
  )
