/** A need as sourcing sees it: met whole by one source. */
export interface SourcingNeed {
  readonly id: string
  readonly quantity: number
  readonly optional?: boolean | undefined
  /** Cost of leaving an optional need out; steers the choice, never counted as paid. */
  readonly penaltyMinor?: number | undefined
}

export type Source = 'keep' | 'comes' | 'shelf' | 'buy' | 'typed' | 'service' | 'made'

/** Price, order value and weight are per pack; stock counts packs. Amounts paid are in the build's minor units, tax included. */
export interface Candidate {
  readonly id: string
  readonly need: string
  readonly source: Source
  readonly supplier?: string | undefined
  /** The part it is: conflicts name it. */
  readonly part?: string | undefined
  readonly priceMinor: number
  /** As the supplier lists it, for thresholds; default the price. */
  readonly orderValueMinor?: number | undefined
  readonly pack?: number | undefined
  readonly stock?: number | undefined
  readonly weightG?: number | undefined
}

export interface BundleItem {
  readonly id: string
  readonly need: string
  /** The part it is: conflicts name it. */
  readonly part?: string | undefined
  readonly quantity?: number | undefined
  /** Strip labour when the item is used. */
  readonly stripMinor?: number | undefined
  /** Net resale when it is not used (the larger of that and its own scrap value). */
  readonly resaleMinor?: number | undefined
  /** A held item is never sold. */
  readonly held?: boolean | undefined
}

/** A kit or a donor. A donor's price holds fetch, repair, disposal and selling hours; scrap comes back. */
export interface Bundle {
  readonly id: string
  readonly kind: 'kit' | 'donor'
  readonly supplier?: string | undefined
  readonly priceMinor: number
  readonly orderValueMinor?: number | undefined
  readonly weightG?: number | undefined
  readonly scrapMinor?: number | undefined
  readonly items: readonly BundleItem[]
}

export interface ShippingChoice {
  readonly id: string
  readonly upToG?: number | undefined
  /** Inclusive; compares goods as the supplier lists them. */
  readonly fromMinor?: number | undefined
  readonly chargeMinor: number
}

export interface Supplier {
  readonly id: string
  readonly minimumMinor?: number | undefined
  readonly shipping: readonly ShippingChoice[]
}

export interface Limits {
  readonly maxSuppliers?: number | undefined
  readonly maxDonors?: number | undefined
  readonly banned?: readonly string[] | undefined
}

export interface Lock {
  readonly id: string
  readonly way: 'in' | 'out'
  readonly candidate?: string | undefined
  /** Alone: all of it. With an item: that one for its need. */
  readonly bundle?: string | undefined
  readonly item?: string | undefined
  readonly supplier?: string | undefined
}

/** Sources that fail with one another: of each side's need, those of its parts; not one of every side together. */
export interface Conflict {
  /** What it is named by where a contradiction is explained. */
  readonly id: string
  readonly sides: readonly { readonly need: string; readonly parts: readonly string[] }[]
}

export interface Problem {
  readonly currency: string
  readonly needs: readonly SourcingNeed[]
  readonly candidates: readonly Candidate[]
  readonly bundles: readonly Bundle[]
  readonly suppliers: readonly Supplier[]
  readonly limits?: Limits | undefined
  readonly locks?: readonly Lock[] | undefined
  readonly conflicts?: readonly Conflict[] | undefined
}

/** packs = ⌈quantity / pack⌉. */
export const packsFor = (quantity: number, pack = 1): number => Math.ceil(quantity / pack)

/** Shipping of a supplier that states none: free, from any value. */
export const SHIPPING_FREE: ShippingChoice = { id: 'included', chargeMinor: 0 }
export const shippingOf = (supplier: Supplier): readonly ShippingChoice[] =>
  supplier.shipping.length > 0 ? supplier.shipping : [SHIPPING_FREE]
