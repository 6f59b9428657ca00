import { timesRate } from '../money/money.ts'

/** One piece a donor yields. Amounts in minor units of the build's currency. */
export interface DonorPiece {
  readonly id: string
  readonly words: string
  readonly stripHours: number
  /** What it would sell for, and the chance that it does. */
  readonly saleMinor: number
  readonly chance: number
  readonly sellingHours: number
  readonly held: boolean
}

export interface DonorMoney {
  readonly priceMinor: number
  readonly fetchMinor: number
  readonly repairMinor: number
  readonly missingMinor: number
  /** Of which kind that is; null where it is not said, or of several. */
  readonly missingKind: string | null
  readonly disposalMinor: number
  readonly storageMinor: number
  readonly scrapMinor: number
  /** Share of each sale lost to fees. */
  readonly saleFee: number
  readonly pieces: readonly DonorPiece[]
}

export interface NetTerm {
  readonly id:
    | 'price'
    | 'fetch'
    | 'strip'
    | 'repair'
    | 'missing'
    | 'selling'
    | 'disposal'
    | 'storage'
    | 'sale'
    | 'scrap'
  readonly words: string
  /** What it is made of, in words. */
  readonly how: string
  /** With its sign: + costs, − brings in. */
  readonly minor: number
}

export interface NetCost {
  readonly terms: readonly NetTerm[]
  readonly netMinor: number
  readonly uses: readonly string[]
  readonly sells: readonly string[]
  readonly scraps: readonly string[]
}

/**
 * Net cost of a donor = price + fetch + strip hours × rate + repair + missing + selling hours × rate + disposal and
 * storage − Σ chance × price × (1 − fee) − scrap. A piece the build needs is used; a held one is kept; another is sold
 * where its sale brings more than its hours cost, else it goes with the scrap. Pieces that are used and pieces that are
 * sold are stripped.
 *
 * Each piece's sale, strip and selling hours are rounded once, half-even, as the plan has them. What is missing is charged
 * where no line of the build has it.
 *
 * @param used ids of the pieces the build takes
 * @param labourRateMinor an hour of the shop
 * @param lines kinds the build has a line of
 */
export function netCost(
  donor: DonorMoney,
  used: ReadonlySet<string>,
  labourRateMinor: number,
  lines: ReadonlySet<string> = new Set(),
): NetCost {
  const takes = donor.pieces.filter((piece) => used.has(piece.id))
  const isSold = (piece: DonorPiece): boolean =>
    !used.has(piece.id) && !piece.held && soldFor(piece, donor.saleFee, labourRateMinor) > 0
  const sold = donor.pieces.filter(isSold)
  const hours = (pieces: readonly DonorPiece[], of: 'stripHours' | 'sellingHours'): number =>
    pieces.reduce((sum, piece) => sum + piece[of], 0)
  const cost = (pieces: readonly DonorPiece[], of: 'stripHours' | 'sellingHours'): number =>
    pieces.reduce((sum, piece) => sum + timesRate(labourRateMinor, piece[of]), 0)
  const strip = hours([...takes, ...sold], 'stripHours')
  const selling = hours(sold, 'sellingHours')
  const feeWords = `${Number((donor.saleFee * 100).toFixed(1))} % fee off`
  const terms: NetTerm[] = [
    { id: 'price', words: 'Price', how: 'as asked', minor: donor.priceMinor },
    { id: 'fetch', words: 'Fetching it', how: 'there and back', minor: donor.fetchMinor },
    {
      id: 'strip',
      words: 'Stripping',
      how: `${round(strip)} h at the labour rate`,
      minor: cost([...takes, ...sold], 'stripHours'),
    },
    { id: 'repair', words: 'Repair', how: 'of what is used', minor: donor.repairMinor },
    {
      id: 'missing',
      words: 'What is missing',
      how: isOnList(donor, lines) ? 'paid on its own line' : 'bought singly',
      minor: chargedMissing(donor, lines),
    },
    {
      id: 'selling',
      words: 'Selling',
      how: `${round(selling)} h to photograph, answer, pack and post`,
      minor: cost(sold, 'sellingHours'),
    },
    { id: 'disposal', words: 'Disposal', how: 'of the hulk', minor: donor.disposalMinor },
    { id: 'storage', words: 'Storage', how: 'and keeper fees', minor: donor.storageMinor },
    {
      id: 'sale',
      words: 'Sold on',
      how: `${sold.length} ${sold.length === 1 ? 'piece' : 'pieces'} at chance × price, ${feeWords}`,
      minor: 0 - sold.reduce((sum, piece) => sum + expected(piece, donor.saleFee), 0),
    },
    { id: 'scrap', words: 'Scrap', how: 'by weight', minor: 0 - donor.scrapMinor },
  ]
  return {
    terms,
    netMinor: terms.reduce((sum, term) => sum + term.minor, 0),
    uses: takes.map((piece) => piece.words),
    sells: sold.map((piece) => piece.words),
    scraps: donor.pieces
      .filter((piece) => !used.has(piece.id) && !piece.held && !isSold(piece))
      .map((piece) => piece.words),
  }
}

const isOnList = (
  { missingKind }: Pick<DonorMoney, 'missingKind'>,
  lines: ReadonlySet<string>,
): boolean => missingKind !== null && lines.has(missingKind)

/** What a donor lacks, where no line of the build has it. */
export const chargedMissing = (
  donor: Pick<DonorMoney, 'missingKind' | 'missingMinor'>,
  lines: ReadonlySet<string>,
): number => (isOnList(donor, lines) ? 0 : donor.missingMinor)

/** What a piece brings when it is sold on: its expected sale less the hours to take it off and to sell it; 0 where it stays on the hulk. */
export const soldFor = (
  piece: Pick<DonorPiece, 'saleMinor' | 'chance' | 'stripHours' | 'sellingHours'>,
  fee: number,
  labourRateMinor: number,
): number =>
  Math.max(
    0,
    expected(piece, fee) -
      timesRate(labourRateMinor, piece.sellingHours) -
      timesRate(labourRateMinor, piece.stripHours),
  )

const expected = (piece: Pick<DonorPiece, 'saleMinor' | 'chance'>, fee: number): number =>
  timesRate(piece.saleMinor, piece.chance * (1 - fee))
const round = (hours: number): number => Number(hours.toFixed(2))
