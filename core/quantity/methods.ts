/** A way to take a measurement on a feature, with the bound it can hold. Common practice, no published source; editable. */
export interface Method {
  readonly id: string
  readonly words: string
  readonly plusMinus: number
}

export const METHODS = {
  'bar-caliper': { words: 'Straight bar and caliper', plusMinus: 0.15 },
  caliper: { words: 'Caliper on the diameter', plusMinus: 0.03 },
  micrometer: { words: 'Micrometer or bore gauge', plusMinus: 0.005 },
  rubbing: { words: 'Rubbing or scan of the face', plusMinus: 0.4 },
  punch: { words: 'Transfer punch', plusMinus: 0.2 },
  machine: { words: 'Coordinate machine', plusMinus: 0.01 },
  rule: { words: 'Steel rule', plusMinus: 0.5 },
  'tape-bay': { words: 'Tape in the bay', plusMinus: 5 },
  'tape-shaft': { words: 'Tape along the shaft', plusMinus: 2 },
  level: { words: 'Digital level', plusMinus: 0.2 },
  phone: { words: 'Phone as level', plusMinus: 0.7 },
  scale: { words: 'Weighbridge', plusMinus: 20 },
} as const satisfies Record<string, Omit<Method, 'id'>>

export type MethodId = keyof typeof METHODS
export const METHOD_IDS = Object.keys(METHODS) as [MethodId, ...MethodId[]]

export const methodPlusMinus = (method: string | undefined): number | undefined =>
  method && Object.hasOwn(METHODS, method) ? METHODS[method as MethodId].plusMinus : undefined
