import type { DocumentWriter } from './document.ts'
import { keyOf } from './document.ts'
import { SUPPLIERS } from './suppliers.ts'

const EUROS: Readonly<Record<string, number>> = { EUR: 1, GBP: 1.17, SEK: 0.0892 }

/** An offer priced in what its supplier bills in; under a number of an issuer where one is named. */
export function offer(
  doc: DocumentWriter,
  id: string,
  partId: string,
  supplierId: string,
  euroMinor: number,
  rest: Readonly<Record<string, unknown>> = {},
): void {
  const currency = SUPPLIERS.find(([supplier]) => supplier === supplierId)![3]
  const { issuer, number, ...more } = rest
  doc.add('offer', {
    id: `offer-${id}`,
    partId,
    supplierId,
    priceMinor: Math.max(1, Math.round(euroMinor / EUROS[currency]!)),
    currency,
    taxIncluded: currency !== 'SEK',
    pack: 1,
    condition: 'new',
    ...(issuer
      ? {
          issuerId: `issuer-${issuer}`,
          number,
          normalised: keyOf(String(issuer), String(number)),
        }
      : {}),
    ...more,
  })
}
