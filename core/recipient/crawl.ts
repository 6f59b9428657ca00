import { DIMENSIONS, PLACES } from './dimensions.ts'

/** Where one stands to measure: round the vehicle and under it, then what lies on the bench, the train from front to back. */
export const CRAWL = [
  ...PLACES,
  'The vehicle',
  'The engine',
  'The pieces between',
  'The gearbox',
  'The transfer case',
] as const
export type CrawlPlace = (typeof CRAWL)[number]

const BENCH: Readonly<Record<string, CrawlPlace>> = {
  vehicle: 'The vehicle',
  engine: 'The engine',
  transmission: 'The gearbox',
  'transfer-case': 'The transfer case',
}

/** The place at which a field of a part is measured. @param port as a dimension names it, kind and slot */
export function crawlPlace(kind: string, port: string, field: string): CrawlPlace {
  if (kind === 'vehicle') {
    const [portKind] = port.split('/')
    const found = DIMENSIONS.find(
      (one) => one.port.split('/')[0] === portKind && one.field === field,
    )
    if (found) return found.place
  }
  return BENCH[kind] ?? 'The pieces between'
}

/** Measurements under the place they are taken at, in the order one crawls under; places with none are left out. */
export function inCrawlOrder<T extends { readonly place: CrawlPlace }>(
  items: readonly T[],
): readonly { readonly place: CrawlPlace; readonly items: readonly T[] }[] {
  return CRAWL.flatMap((place) => {
    const here = items.filter((one) => one.place === place)
    return here.length === 0 ? [] : [{ place, items: here }]
  })
}
