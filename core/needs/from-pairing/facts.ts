/** What a chosen pairing says that no condition reads: parts, counts and threads. What is not known is absent. */
export const FACT_KEYS = {
  'gearbox.type': 'manual or automatic',
  'engine.part': 'id of the engine chosen',
  'engine.name': 'its name',
  'engine.recipients': 'true when the recipient already has it',
  'transmission.part': 'id of the transmission chosen',
  'transmission.name': 'its name',
  'transmission.recipients': 'true when the recipient already has it',
  'coupling.separator': 'id of the separator in use',
  'coupling.bellhousing': 'id of the separate bell in use',
  'coupling.flywheel': 'id of the flywheel in use',
  'coupling.flexplate': 'id of the flexplate in use',
  'coupling.cover': 'id of the clutch cover in use',
  'coupling.disc': 'id of the clutch disc in use',
  'coupling.release-bearing': 'id of the release bearing in use',
  'coupling.pilot': 'id of the pilot piece in use',
  'coupling.starter': 'id of the starter in use',
  'coupling.converter': 'id of the converter in use',
  'face.bolts': 'bell bolts that meet, a count',
  'face.dowels': 'dowels in the block face, a count',
  'face.thread': 'thread of the bell bolts',
  'face.plates': 'adapter plates between block and bell, a count',
  'flange.bolts': 'bolts of the crank flange, a count',
  'flange.thread': 'their thread',
  'flange.lengthMm': 'their length under the head, mm',
  'engine.oilL': 'oil the engine takes, L',
  'propshaft.lengthMm': 'between its joints at ride height, mm',
  'insert.parts': 'ids of the parts that close the pairing, separated by spaces',
  'insert.kinds': 'their kinds, separated by spaces, in the same order',
} as const

export type FactKey = keyof typeof FACT_KEYS
export type FactValue = string | number | boolean
export interface Fact {
  readonly key: FactKey
  readonly value: FactValue
}

/** Read-only view of facts: absent = unknown. */
export class Facts {
  readonly #values: ReadonlyMap<FactKey, FactValue>
  constructor(facts: readonly Fact[]) {
    this.#values = new Map(facts.map((fact) => [fact.key, fact.value]))
  }
  text(key: FactKey): string | undefined {
    const value = this.#values.get(key)
    return value === undefined ? undefined : String(value)
  }
  count(key: FactKey): number | undefined {
    const value = this.#values.get(key)
    return typeof value === 'number' ? value : undefined
  }
  is(key: FactKey): boolean | undefined {
    const value = this.#values.get(key)
    return typeof value === 'boolean' ? value : undefined
  }
}
