import { useSyncExternalStore } from 'react'

let lit: string | null = null
const listeners = new Set<() => void>()
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Lights one joint wherever it is shown, or none. */
export function light(joint: string | null): void {
  if (joint === lit) return
  lit = joint
  for (const listener of listeners) listener()
}

/** The joint that is lit. */
export const useLitJoint = (): string | null => useSyncExternalStore(subscribe, () => lit)

/** What makes a thing light its joint while the pointer or the focus is on it. */
export const lights = (joint: string) =>
  ({
    onPointerEnter: () => light(joint),
    onPointerLeave: () => light(null),
    onFocus: () => light(joint),
    onBlur: () => light(null),
  }) as const
