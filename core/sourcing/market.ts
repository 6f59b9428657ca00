import type { NumberIndex } from '../identity/number-index.ts'
import type { Currency } from '../money/money.ts'
import type { Rate } from '../money/offer-price.ts'
import type { CompiledPart } from '../ports/index.ts'
import type { KnownNumber } from './numbers-wanted.ts'
import type { Standing } from './standing.ts'

export interface OfferRow {
  readonly id: string
  readonly partId: string
  readonly supplierId: string
  readonly issuerId: string | null
  readonly normalised: string | null
  readonly number: string | null
  readonly description: string | null
  readonly priceMinor: number
  readonly currency: Currency
  readonly taxIncluded: boolean
  readonly pack: number
  readonly stock: number | null
  readonly leadDays: number | null
  readonly condition: string
  readonly standing?: Standing | null
  /** The day it was last heard of. */
  readonly seenOn?: string | null
}

export interface KitRow {
  readonly id: string
  readonly name: string
  readonly supplierId: string | null
  readonly priceMinor: number
  readonly currency: Currency
  readonly taxIncluded: boolean
  readonly weightG: number | null
  readonly standing?: Standing | null
  readonly items: readonly {
    readonly id: string
    readonly partId: string
    readonly quantity: number
  }[]
}

export interface DonorRow {
  readonly id: string
  readonly name: string
  readonly currency: Currency
  readonly priceMinor: number
  readonly fetchMinor: number
  readonly disposalMinor: number
  readonly repairMinor: number
  readonly missingMinor: number
  readonly missingKind: string | null
  readonly storageMinor: number
  readonly scrapMinor: number
  readonly saleFee: number
  readonly items: readonly {
    readonly id: string
    readonly partId: string
    readonly quantity: number
    readonly stripHours: number
    readonly saleMinor: number
    readonly chance: number
    readonly sellingHours: number
    readonly held: boolean
  }[]
}

export interface SupplierRow {
  readonly id: string
  readonly name: string
  readonly currency: Currency
  readonly minimumMinor: number
  readonly shippingMinor: number
  readonly freeOverMinor: number | null
  /** The day all it sells was last read. */
  readonly feedReadOn?: string | null
}

/** What is sold, had and known, asked for by what a question needs of it: a shop has more than is held at once. */
export interface Market {
  readonly parts: Pick<ReadonlyMap<string, CompiledPart>, 'get'>
  /** Parts of each kind, by id: the same list until one of them changed. */
  readonly kinds: Pick<ReadonlyMap<string, readonly CompiledPart[]>, 'get'>
  /** Numbers of a part. */
  readonly numbers: Pick<ReadonlyMap<string, readonly KnownNumber[]>, 'get'>
  /** What serves for what. */
  readonly serving: NumberIndex
  /** What issuers are called, by id. */
  readonly issuers: Pick<ReadonlyMap<string, string>, 'get'>
  /** Offers of a part, by id. */
  readonly offers: Pick<ReadonlyMap<string, readonly OfferRow[]>, 'get'>
  readonly kits: readonly KitRow[]
  readonly donors: readonly DonorRow[]
  readonly suppliers: readonly SupplierRow[]
  readonly rates: readonly Rate[]
}
