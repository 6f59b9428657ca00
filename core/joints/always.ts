import { type Formula, formula } from './judging/declaration.ts'
import { aside, b, type Read } from './judging/read.ts'

/** Met wherever two parts meet. */
export const always: Formula<boolean> = formula({}, () => true)
/** Met where a part owns the port, measured or not: a piece nobody named makes no joint. */
export const whereNamed = (port: { readonly named: Read<boolean> }): Formula<boolean> =>
  formula({ isNamed: port.named }, ({ isNamed }) => isNamed)

const type = aside(b.ratios.type)
export const onManual: Formula<boolean> = formula({ type }, ({ type }) => type !== 'automatic')
export const onAutomatic: Formula<boolean> = formula({ type }, ({ type }) => type === 'automatic')
