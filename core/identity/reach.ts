import type { Follower } from './follower.ts'
import type { Step } from './steps.ts'
import { components } from './strong-components.ts'

/** Numbers that paths may touch, and which lead to which. */
export interface Reach {
  readonly reached: ReadonlySet<number>
  /** Whether steps lead from one of them to another. */
  readonly leadsTo: (from: number, to: number) => boolean
  /** Those that lead to it and to which it leads, itself among them. */
  readonly ringOf: (at: number) => readonly number[]
  /** Steps from one of them. */
  readonly from: (at: number) => readonly Step[]
}

/** Every number that any path may touch from some starts; on from a weak one only where it is a start. */
export function reachFrom(starts: ReadonlySet<number>, follower: Follower): Reach {
  const reached = new Set(starts)
  const next = new Map<number, readonly number[]>()
  const steps = new Map<number, readonly Step[]>()
  for (const at of reached) {
    const on = follower.isWeak(at) && !starts.has(at) ? [] : follower.from(at, true)
    steps.set(at, on)
    const to = on.flatMap((step) => step.to.map((one) => one.at))
    next.set(at, to)
    for (const one of to) reached.add(one)
  }
  let ring: ReadonlyMap<number, number> | null = null
  const rings = (): ReadonlyMap<number, number> => {
    if (!ring) {
      const all = [...reached]
      const place = new Map(all.map((at, i) => [at, i]))
      const found = components(all.length, (i) => next.get(all[i]!)!.map((at) => place.get(at)!))
      ring = new Map(all.map((at, i) => [at, found[i]!]))
    }
    return ring
  }
  const behind = new Map<number, ReadonlySet<number>>()
  const leadsTo = (from: number, to: number): boolean => {
    if (!reached.has(from) || !reached.has(to)) return false
    const found = rings()
    if (found.get(from) === found.get(to)) return true
    // Rings are numbered in the order they end: what is led to has the lower number.
    if (found.get(from)! < found.get(to)!) return false
    let held = behind.get(from)
    if (!held) {
      const set = new Set([from])
      for (const at of set) for (const one of next.get(at)!) set.add(one)
      behind.set(from, (held = set))
    }
    return held.has(to)
  }
  const ringOf = (at: number): readonly number[] =>
    [...reached].filter((one) => rings().get(one) === rings().get(at))
  return { reached, leadsTo, ringOf, from: (at) => steps.get(at) ?? [] }
}
