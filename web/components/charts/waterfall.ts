/** An amount that is added, or taken away where it is below zero; minor units. */
export interface Step {
  readonly id: string
  readonly name: string
  readonly minor: number
}

/** A bar of a waterfall: from what stood before to what stands after. */
export interface Fall extends Step {
  readonly span: readonly [from: number, to: number]
  readonly tone: 'cost' | 'income' | 'net'
}

/** Steps one after another from nothing, and what is left in the end; steps of nothing are left out. */
export function waterfall(steps: readonly Step[], net: string): readonly Fall[] {
  let stands = 0
  const falls = steps
    .filter(({ minor }) => minor !== 0)
    .map((step): Fall => {
      const from = stands
      stands += step.minor
      return { ...step, span: [from, stands], tone: step.minor > 0 ? 'cost' : 'income' }
    })
  return [...falls, { id: 'net', name: net, minor: stands, span: [0, stands], tone: 'net' }]
}

/** The scale that holds all of several waterfalls. */
export const scaleOf = (all: readonly (readonly Fall[])[]): readonly [number, number] => {
  const ends = all.flat().flatMap(({ span }) => span)
  return [Math.min(0, ...ends), Math.max(1, ...ends)]
}
