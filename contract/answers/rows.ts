import { z } from 'zod'
import { STORED_ROWS, type StoredRow, type StoredTable } from '../stored.ts'
import { list } from './basics.ts'

const version = z.number().int().positive()

/** A row as it is answered, with what is answered beside its columns. */
export const rowWith = <T extends StoredTable, S extends z.ZodRawShape>(
  table: T,
  beside: S,
): z.ZodType<StoredRow<T> & z.output<z.ZodObject<S>>> =>
  (STORED_ROWS[table] as z.ZodObject).safeExtend({ ...beside, version }) as z.ZodType as z.ZodType<
    StoredRow<T> & z.output<z.ZodObject<S>>
  >

/** A row as it is answered. */
export const rowOf = <T extends StoredTable>(table: T): z.ZodType<StoredRow<T>> =>
  rowWith(table, {}).meta({ id: table.charAt(0).toUpperCase() + table.slice(1) })

export const build = rowOf('build')
export const supplier = rowOf('supplier')
export const issuer = rowOf('issuer')
export const rate = rowOf('rate')
export const offer = rowOf('offer')
export const part = rowOf('part')
export const claim = rowOf('claim')
/** A claim as it was taken, with why it is not what is leaned on where another stands. */
export const takenClaim = rowWith('claim', { notUsed: z.string().nullable() })
export const jointClaim = rowOf('jointClaim')
export const person = rowOf('person')
export const decision = rowOf('decision')
export const ownLine = rowOf('ownLine')
export const recipe = rowOf('recipe')
export const lock = rowOf('sourcingLock')
export const kept = rowOf('kept')

const itemNames = { partName: z.string().nullable(), partKind: z.string().nullable() } as const
export const kit = rowWith('kit', { items: list(rowWith('kitItem', itemNames)) }).meta({
  id: 'KitWithItems',
})
export const donor = rowWith('donor', { items: list(rowWith('donorItem', itemNames)) }).meta({
  id: 'DonorWithItems',
})

export type Build = z.output<typeof build>
export type Supplier = z.output<typeof supplier>
export type JointClaim = z.output<typeof jointClaim>
export type Kit = z.output<typeof kit>
export type Donor = z.output<typeof donor>
