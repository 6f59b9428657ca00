import type { StoredTable } from '../../contract/stored.ts'

/** What the code must know of each table beside its columns: JSON and yes/no columns, what it refers to, what owns it. */
export interface TableShape {
  readonly json?: readonly string[]
  readonly flags?: readonly string[]
  readonly refs?: Readonly<Record<string, TableName>>
  /** Read where it is needed, by its indexes: a shop has more of these than are kept in memory. */
  readonly isLarge?: boolean
  /** References it can be read without, where what they lead to cannot be read. */
  readonly loose?: readonly string[]
  /** Columns it had once: what the history and the trash hold of them is not written again. */
  readonly retired?: readonly string[]
  /** Rows of these tables belong to a row of this one, by the column named. */
  readonly owns?: readonly (readonly [TableName, string])[]
}

/** In an order in which rows can be inserted. */
export const TABLES = {
  setting: { json: ['value'] },
  person: {},
  kept: { json: ['value'] },
  issuer: { flags: ['upper'], json: ['rule'] },
  supplier: { json: ['offerList', 'feed'], owns: [['report', 'supplierId']] },
  rate: {},
  part: {
    isLarge: true,
    flags: ['isDefault'],
    refs: { ownerId: 'part' },
    loose: ['ownerId'],
    owns: [
      ['partNumber', 'partId'],
      ['port', 'partId'],
      ['part', 'ownerId'],
      ['photo', 'partId'],
      ['report', 'partId'],
      ['watch', 'partId'],
    ],
  },
  port: { isLarge: true, refs: { partId: 'part' }, owns: [['claim', 'portId']] },
  build: {
    json: ['mustWork'],
    flags: ['inspection'],
    refs: { recipientId: 'part' },
    loose: ['recipientId'],
    owns: [
      ['specimen', 'buildId'],
      ['pairing', 'buildId'],
      ['decision', 'buildId'],
      ['ownLine', 'buildId'],
      ['sourcingLock', 'buildId'],
      ['plan', 'buildId'],
      ['jointClaim', 'buildId'],
      ['donorSheet', 'buildId'],
      ['matingCard', 'buildId'],
      ['buildSheet', 'buildId'],
      ['photo', 'buildId'],
      ['kitChoice', 'buildId'],
      ['arrival', 'buildId'],
    ],
  },
  specimen: { refs: { partId: 'part', buildId: 'build' } },
  claim: { isLarge: true, json: ['value'], refs: { portId: 'port', specimenId: 'specimen' } },
  kit: {
    flags: ['taxIncluded'],
    json: ['quality'],
    refs: { supplierId: 'supplier' },
    loose: ['supplierId'],
    owns: [
      ['kitItem', 'kitId'],
      ['report', 'kitId'],
      ['kitChoice', 'kitId'],
    ],
  },
  kitItem: { refs: { kitId: 'kit', partId: 'part' } },
  report: { refs: { kitId: 'kit', partId: 'part', supplierId: 'supplier' } },
  kitChoice: { json: ['reasons'], refs: { buildId: 'build', kitId: 'kit' } },
  watch: { refs: { partId: 'part', buildId: 'build' }, loose: ['buildId'] },
  arrival: {
    refs: { buildId: 'build', partId: 'part', specimenId: 'specimen', supplierId: 'supplier' },
    loose: ['supplierId'],
  },
  donor: {
    owns: [
      ['donorItem', 'donorId'],
      ['donorSheet', 'donorId'],
      ['photo', 'donorId'],
    ],
  },
  donorItem: { flags: ['held'], refs: { donorId: 'donor', partId: 'part' } },
  offer: {
    isLarge: true,
    flags: ['taxIncluded'],
    refs: { partId: 'part', supplierId: 'supplier', issuerId: 'issuer' },
    loose: ['issuerId'],
    owns: [['pastPrice', 'offerId']],
  },
  pastPrice: { isLarge: true, refs: { offerId: 'offer' } },
  donorSheet: { json: ['answers'], refs: { buildId: 'build', donorId: 'donor' } },
  photo: { refs: { partId: 'part', donorId: 'donor', buildId: 'build' } },
  partNumber: {
    isLarge: true,
    json: ['scope'],
    flags: ['again'],
    refs: { partId: 'part', issuerId: 'issuer', photoId: 'photo' },
    loose: ['photoId'],
  },
  supersession: {
    isLarge: true,
    json: ['scope'],
    refs: { photoId: 'photo' },
    loose: ['photoId'],
    retired: ['partId', 'issuerId', 'oldNumber', 'newNumber', 'oneWay'],
    owns: [['supersessionNumber', 'supersessionId']],
  },
  supersessionNumber: {
    isLarge: true,
    refs: { supersessionId: 'supersession', issuerId: 'issuer' },
  },
  interchange: {
    isLarge: true,
    json: ['scope'],
    refs: { photoId: 'photo' },
    loose: ['photoId'],
    owns: [['interchangeNumber', 'interchangeId']],
  },
  interchangeNumber: {
    isLarge: true,
    json: ['scope'],
    refs: { interchangeId: 'interchange', issuerId: 'issuer' },
  },
  application: {
    isLarge: true,
    json: ['scope'],
    refs: { issuerId: 'issuer', photoId: 'photo' },
    loose: ['photoId'],
  },
  generation: { json: ['conditions'] },
  matingCard: {
    json: ['answers'],
    refs: { buildId: 'build', engineId: 'part', transmissionId: 'part' },
  },
  buildSheet: { json: ['answers'], refs: { buildId: 'build' } },
  jointClaim: {
    refs: { buildId: 'build', engineId: 'part', transmissionId: 'part', kitId: 'kit' },
  },
  pairing: {
    json: ['reasons'],
    flags: ['chosen'],
    retired: ['inserted'],
    refs: { buildId: 'build', engineId: 'part', transmissionId: 'part' },
    owns: [
      ['couplingChoice', 'pairingId'],
      ['pairingPart', 'pairingId'],
    ],
  },
  pairingPart: { refs: { pairingId: 'pairing', partId: 'part' } },
  couplingChoice: { refs: { pairingId: 'pairing', partId: 'part' } },
  decision: { refs: { buildId: 'build', issuerId: 'issuer' } },
  ownLine: { refs: { buildId: 'build' } },
  recipe: { json: ['body'] },
  sourcingLock: { refs: { buildId: 'build', supplierId: 'supplier' } },
  plan: { json: ['detail'], refs: { buildId: 'build' }, owns: [['planLine', 'planId']] },
  planLine: {
    refs: { planId: 'plan', supplierId: 'supplier', partId: 'part' },
    loose: ['supplierId', 'partId'],
  },
} as const satisfies Record<StoredTable, TableShape>

export type TableName = StoredTable
export const TABLE_NAMES = Object.keys(TABLES) as TableName[]
export const shapeOf = (table: TableName): TableShape => TABLES[table]

/** The part that a row tells of: itself, or whose port, claim, number or offer it is; null for anything else. */
export function partOf(table: TableName, row: Readonly<Record<string, unknown>>): string | null {
  if (table === 'part') return String(row.id)
  if (table === 'claim') return String(row.portId).split('/')[0]!
  return shapeOf(table).isLarge && typeof row.partId === 'string' ? row.partId : null
}
