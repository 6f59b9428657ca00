import type { Outcome } from '../verdict.ts'
import type { Formula } from './declaration.ts'
import { lookUp, type Scene } from './scene.ts'

/** A formula of what is known in a scene. */
export function workOut<T>({ reads, of }: Formula<T>, scene: Scene): T {
  const x: Record<string, unknown> = {}
  const pm: Record<string, number> = {}
  for (const name in reads) {
    const input = lookUp(reads[name]!, scene)
    x[name] = input.v
    pm[name] = input.pm
  }
  return of(x as never, scene.shop, pm)
}

/** Words of an outcome, filled from a scene. */
export const wordsOf = ({ words }: Outcome, scene: Scene): string =>
  typeof words === 'string' ? words : workOut(words, scene)
