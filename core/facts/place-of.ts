import { FACT_ROWS, type FactKey } from './index.ts'

/** Whom a fact belongs to, in the order they are asked. */
export const FACT_OWNERS = [
  'build',
  'keep',
  'vehicle',
  'engine',
  'gearbox',
  'donor',
  'bench',
  'kit',
  'choice',
  'joint',
  'room',
  'can',
  'law',
] as const
export type FactOwner = (typeof FACT_OWNERS)[number]

export const ownerOf = (key: FactKey): FactOwner => key.slice(0, key.indexOf('.')) as FactOwner

/** Whether a person answers it; what is only read off joints and rooms is measured instead. */
export const isAsked = (key: FactKey): boolean => FACT_ROWS[key].asks !== undefined
