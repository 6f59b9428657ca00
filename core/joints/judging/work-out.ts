import type { Outcome } from '../verdict.ts'
import type { Formula } from './declaration.ts'
import { lookUp, type Scene } from './scene.ts'

/** A formula of what is known in a scene. */
export function workOut<T>({ reads, of }: Formula<T>, scene: Scene): T {
  const inputs = Object.entries(reads).map(([name, read]) => [name, lookUp(read, scene)] as const)
  return of(Object.fromEntries(inputs.map(([name, { v }]) => [name, v])), scene.shop, Object.fromEntries(inputs.map(([name, { pm }]) => [name, pm])))
}

/** Words of an outcome, filled from a scene. */
export const wordsOf = ({ words }: Outcome, scene: Scene): string => (typeof words === 'string' ? words : workOut(words, scene))
