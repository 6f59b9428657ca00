import type { Answer, Asked, Callable } from '../../contract/asked.ts'
import { DIMENSIONS, dimensionId } from '../../core/recipient/dimensions.ts'

/** What an operation answered when it was asked before. */
export type Told = <N extends Callable>(name: N) => Answer<N>
/** The command that wrote last, and a drawing of the demo. */
export interface Done {
  readonly command: string
  readonly dxf: string
}
export type Sample<N extends Callable> = Asked<N> | ((told: Told, done: Done) => Asked<N>)

const lantern = { id: 'lantern' }
const pair = { engine: 'wick-2', transmission: 'marlund-4' }
const pairIds = { engineId: 'wick-2', transmissionId: 'marlund-4' }
const AT = '2026-03-14T09:00:00.000Z'
const said = (question: string, value: string) => ({
  answers: { [question]: { value, at: AT, by: 'Ida' } },
})
/** A picture of one pixel. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)
const lastOf = <T>(items: readonly T[]): T => items[items.length - 1]!
const CSV = `supplier,issuer,number,description,price,currency,taxIncluded,pack,stock,leadDays,condition
Harbour Parts,HBP,HBP-SAMPLE-1,Sample clip,4.20,EUR,yes,1,,,new
`

/**
 * Every operation that answers JSON, asked once of the demo, in an order in which each can be answered: what is made
 * first is changed, then removed. Written down as the examples of the OpenAPI document.
 */
const RECIPE = {
  name: 'Ramps of the ferry',
  body: {
    id: 'ferry-ramps',
    when: { all: [{ is: 'build.engine' as const, of: ['other'] }] },
    add: [{ kind: 'shop:skid-plate', words: 'Skid plate under the pan', place: 'engine under' }],
  },
}
export const SAMPLES: { readonly [N in Callable]: Sample<N> } = {
  'PUT /passcode': { body: { passcode: 'sample passcode' } },
  'POST /session': { body: { passcode: 'sample passcode' } },
  'GET /session': {},
  'DELETE /session': {},

  'POST /check/joint': {
    body: {
      joint: 'pilot',
      a: [
        { kind: 'pilot-bore', slot: 'crank', fields: { boreMm: { value: 25, grade: 'measured' } } },
      ],
      b: [{ kind: 'input-shaft', fields: { noseMm: { value: 15, grade: 'measured' } } }],
    },
  },
  'POST /check/pairing': {
    body: {
      engine: { id: 'engine', kind: 'engine', ports: [] },
      transmission: { id: 'box', kind: 'transmission', ports: [] },
    },
  },
  'POST /check/number': {
    body: {
      want: [{ issuer: 'MLD', number: '417-20' }],
      have: [{ issuer: 'MLD', number: '41726' }],
      on: '2026-01-01',
      catalogue: {
        supersessions: [
          {
            id: 'row',
            old: [{ issuer: 'MLD', number: '41720' }],
            new: [{ issuer: 'MLD', number: '41726' }],
          },
        ],
      },
    },
  },
  'POST /issuers/{id}/preview': {
    params: { id: 'issuer-MLD' },
    body: { upper: true, noise: ' .-', rule: { zeros: 'drop' } },
  },
  'POST /normalise': { body: { numbers: [{ issuer: 'gtin', number: '2000000000015' }] } },
  'GET /joints': {},
  'POST /plan/needs': { body: { facts: [{ key: 'keep.heater', value: true }] } },
  'POST /plan/sourcing': {
    body: {
      currency: 'EUR',
      needs: [{ id: 'disc', quantity: 1 }],
      candidates: [{ id: 'a', need: 'disc', source: 'buy', supplier: 'north', priceMinor: 9200 }],
      bundles: [],
      suppliers: [{ id: 'north', shipping: [{ id: 'post', chargeMinor: 790 }] }],
    },
  },

  'GET /settings': {},
  'PATCH /settings': { body: { units: { mm: 'mm' } } },
  'GET /words': {},
  'GET /templates': {},
  'GET /find': { query: { q: 'wick' } },

  'GET /builds': {},
  'POST /builds': { body: { name: 'Sample', currency: 'EUR' } },
  'PATCH /builds/{id}': (told) => {
    const { id, version } = told('POST /builds')
    return { params: { id }, body: { version, why: 'The engine is worn out.' } }
  },
  'DELETE /builds/{id}': (told) => ({ params: { id: told('POST /builds').id } }),
  'POST /trash/{id}/restore': (told) => ({ params: { id: told('DELETE /builds/{id}').trash } }),
  'POST /builds/start': { body: { name: 'Second sample', currency: 'EUR' } },
  'GET /builds/{id}': { params: lantern },
  'GET /builds/{id}/first-answer': { params: lantern },
  'POST /builds/{id}/stoppers': {
    params: lantern,
    body: { question: 'rotation', says: 'yes', saidBy: 'Ida' },
  },
  'GET /builds/{id}/facts': { params: lantern },
  'POST /builds/{id}/facts': {
    params: lantern,
    body: { key: 'vehicle.tank', value: 'dirty', by: 'Ida' },
  },
  'POST /builds/{id}/what-if': {
    params: lantern,
    body: { facts: { 'keep.air': 'yes', 'build.school': 'rebuild' } },
  },
  'POST /builds/{id}/lines': {
    params: lantern,
    body: {
      lines: [
        { words: 'Shelf brackets of the library moved', place: 'cab', hours: 2, state: 'needed' },
      ],
    },
  },
  'PATCH /builds/{id}/lines/{line}': (told) => {
    const { id, version } = told('POST /builds/{id}/lines').lines[0]!
    return { params: { ...lantern, line: id }, body: { version, quantity: 2 } }
  },
  'DELETE /builds/{id}/lines/{line}': (told) => ({
    params: { ...lantern, line: told('POST /builds/{id}/lines').lines[0]!.id },
  }),
  'GET /recipes': {},
  'POST /recipes/try': { body: RECIPE },
  'POST /recipes': { body: RECIPE },
  'PATCH /recipes/{id}': (told) => ({
    params: { id: told('POST /recipes').id },
    body: { version: 1, name: 'Ferry ramps, steep' },
  }),
  'DELETE /recipes/{id}': (told) => ({ params: { id: told('POST /recipes').id } }),
  'GET /builds/{id}/brief': { params: lantern },
  'GET /builds/{id}/sheets/{kind}': { params: { ...lantern, kind: 'brief' } },
  'PATCH /builds/{id}/sheets/{kind}': {
    params: { ...lantern, kind: 'brief' },
    body: said('reason', 'Worn out'),
  },
  'GET /builds/{id}/recipient': { params: lantern },
  'PATCH /builds/{id}/recipient': {
    params: lantern,
    body: said(`${dimensionId(DIMENSIONS[0]!)}@${AT}`, '152'),
  },
  'GET /builds/{id}/measure-next': { params: lantern },
  'POST /builds/{id}/measure-next': { params: lantern, body: { typed: [] } },
  'GET /builds/{id}/pairings': { params: lantern },
  'POST /builds/{id}/pairing-figures': {
    params: lantern,
    body: { pairs: [{ ...pairIds, transferId: null }] },
  },
  'GET /builds/{id}/pairing-working': { params: lantern, query: { ...pair, figure: 'cost' } },
  'GET /builds/{id}/pairing': { params: lantern, query: pair },
  'GET /builds/{id}/judged': { params: lantern },
  'POST /builds/{id}/judged/seen': { params: lantern },
  'GET /builds/{id}/shafts': { params: lantern, query: pair },
  'POST /builds/{id}/pairing': { params: lantern, body: pairIds },
  'GET /builds/{id}/choice': { params: lantern },
  'POST /builds/{id}/choice': { params: lantern, body: { because: 'Quiet, and had here.' } },
  'POST /builds/{id}/choice/seen': { params: lantern, body: { ...pairIds, transferId: null } },
  'POST /builds/{id}/copy': { params: lantern, body: { name: 'Lantern again', isBranch: true } },
  'GET /builds/{id}/against/{other}': { params: { ...lantern, other: 'alder' } },
  'GET /builds/{id}/summary': { params: lantern },
  // Of another build: the rest is asked of the chosen pairing.
  'DELETE /builds/{id}/pairing': { params: { id: 'sprat' } },
  'POST /builds/{id}/coupling': {
    params: lantern,
    body: { ...pairIds, kind: 'disc', partId: 'marlund-4-disc' },
  },
  'POST /builds/{id}/coupling-kit': { params: lantern, body: { ...pairIds, kitId: 'kit-7' } },
  'GET /builds/{id}/donors': { params: lantern },
  'GET /builds/{id}/donors/{donor}/sheet': { params: { ...lantern, donor: 'donor-1' } },
  'PATCH /builds/{id}/donors/{donor}/sheet': {
    params: { ...lantern, donor: 'donor-1' },
    body: said('gear-1', 'yes'),
  },
  'GET /builds/{id}/mating': { params: lantern },
  'PATCH /builds/{id}/mating': { params: lantern, body: said('bore:0', '0.00') },
  'GET /builds/{id}/parts': { params: lantern },
  'POST /builds/{id}/decisions': (told) => ({
    params: lantern,
    body: { needId: lastOf(told('GET /builds/{id}/parts').lines).id, act: 'drop' },
  }),
  'DELETE /builds/{id}/decisions/{decision}': (told) => ({
    params: { ...lantern, decision: told('POST /builds/{id}/decisions').id },
  }),
  'POST /builds/{id}/sourcing': { params: lantern },
  'GET /jobs/{id}': (told) => ({ params: { id: told('POST /builds/{id}/sourcing').id } }),
  'DELETE /jobs/{id}': (told) => ({ params: { id: told('POST /builds/{id}/sourcing').id } }),
  'POST /builds/{id}/locks': {
    params: lantern,
    body: { way: 'out', supplierId: 'harbour' },
  },
  'GET /builds/{id}/sourcing': { params: lantern },
  'GET /builds/{id}/sourcing/job': { params: lantern },
  'DELETE /builds/{id}/locks/{lock}': (told) => ({
    params: { ...lantern, lock: told('POST /builds/{id}/locks').id },
  }),
  'GET /builds/{id}/kits': { params: lantern },
  'GET /builds/{id}/kits/compared': { params: lantern, query: { ids: 'kit-1,kit-2' } },
  'GET /builds/{id}/arrivals': { params: lantern },
  'POST /builds/{id}/arrivals': (told) => ({
    params: lantern,
    body: {
      needId: told('GET /builds/{id}/parts').lines.find(({ wants, task }) => wants && !task)!.id,
      batch: 'B 14',
      day: '2026-03-14',
    },
  }),
  'DELETE /builds/{id}/arrivals/{arrival}': (told) => ({
    params: { ...lantern, arrival: told('POST /builds/{id}/arrivals').id },
  }),
  'GET /reports': { query: { kit: 'kit-1' } },
  'POST /reports': {
    body: { kitId: 'kit-1', outcome: 'held', what: 'Mated at the first try', howMany: 1 },
  },
  'DELETE /reports/{id}': (told) => ({ params: { id: told('POST /reports').id } }),
  'POST /watches': { body: { partId: 'plate-w2-12', currency: 'EUR', mostMinor: 24_000 } },
  'GET /watches': {},
  'DELETE /watches/{id}': (told) => ({ params: { id: told('POST /watches').id } }),
  'POST /builds/{id}/kits': { params: lantern, body: { kitId: 'kit-1' } },
  'GET /builds/{id}/budget': { params: lantern },
  'POST /joint-claims': {
    body: {
      ...pairIds,
      subject: 'joint',
      joint: 'pilot',
      says: 'yes',
      grade: 'heard',
      sentence: 'Went together with the bush as it was.',
    },
  },
  'DELETE /joint-claims/{id}': (told) => ({ params: { id: told('POST /joint-claims').id } }),

  'GET /parts': { query: { kind: 'engine', limit: 1 } },
  'POST /parts': { body: { kind: 'disc', name: 'Sample disc' } },
  'PATCH /parts/{id}': (told) => {
    const { id, version } = told('POST /parts')
    return { params: { id }, body: { version, note: 'Lined anew.' } }
  },
  'POST /parts/{id}/numbers': (told) => ({
    params: { id: told('POST /parts').id },
    body: { issuer: 'HBP', number: 'HBP-SAMPLE-2' },
  }),
  'POST /supersessions': {
    body: {
      old: [{ issuer: 'HBP', number: 'HBP-SAMPLE-0' }],
      new: [
        { issuer: 'HBP', number: 'HBP-SAMPLE-2' },
        { issuer: 'HBP', number: 'HBP-SAMPLE-3', quantity: 2 },
      ],
      back: 'no',
      since: '2021-04',
      grade: 'maker',
      source: 'Service letter',
    },
  },
  'POST /interchanges': {
    body: {
      members: [
        { issuer: 'HBP', number: 'HBP-SAMPLE-2' },
        { issuer: 'FNF', number: 'SAMPLE-9', way: 'serves' },
      ],
      grade: 'catalogue',
    },
  },
  'POST /applications': {
    body: {
      issuer: 'HBP',
      number: 'HBP-SAMPLE-2',
      grade: 'catalogue',
      scope: {
        targets: { engine: { family: 'Kessarn Wick', generations: ['2nd'] } },
        from: '1992-03',
        conditions: [{ key: 'gearbox', is: ['manual'] }],
      },
    },
  },
  'GET /generations': {},
  'POST /generations': {
    body: {
      target: 'engine',
      family: 'Sample family',
      generation: '2nd',
      from: '1992-03',
      grade: 'maker',
    },
  },
  'POST /number-claims/{id}/strike': (told) => ({
    params: { id: told('POST /supersessions').id },
    body: {
      table: 'supersession',
      version: 1,
      why: 'The letter was of another family.',
      by: 'Ida',
    },
  }),
  'GET /number-conflicts': {},
  'POST /claims': {
    body: {
      portId: 'wick-2/pilot-bore/crank',
      field: 'boreMm',
      typed: '25 mm',
      method: 'micrometer',
      by: 'Ida',
    },
  },
  'POST /claims/{id}/strike': (told) => ({
    params: { id: told('POST /claims').id },
    body: { version: 1, why: 'The caliper was not zeroed.', by: 'Ida' },
  }),
  'POST /parts/kinds': {
    body: { parts: [{ id: 'general-001', version: 1, kind: 'dowel' }] },
  },
  'POST /kept': { body: { what: 'filter', name: 'Small discs', value: { place: 'clutch' } } },
  'GET /kept': { query: { what: 'filter' } },
  'DELETE /kept/{id}': (told) => ({ params: { id: told('POST /kept').id } }),
  'GET /parts/{id}': { params: { id: 'marlund-4-disc' } },
  'GET /parts/{id}/listed': { params: { id: 'wick-2' } },
  'GET /parts/{id}/same-inside/{other}': { params: { id: 'marlund-4', other: 'marlund-4b' } },
  'DELETE /parts/{id}': (told) => ({ params: { id: told('POST /parts').id } }),
  'GET /kits': {},
  'POST /kits': {
    body: {
      name: 'Sample kit',
      priceMinor: 12_000,
      currency: 'EUR',
      items: [{ partId: 'marlund-4-disc' }],
    },
  },
  'GET /kits/{id}': (told) => ({ params: { id: told('POST /kits').id } }),
  'PATCH /kits/{id}': (told) => {
    const { id, version } = told('POST /kits')
    return { params: { id }, body: { version, omits: 'Dowels' } }
  },
  'DELETE /kits/{id}': (told) => ({ params: { id: told('POST /kits').id } }),
  'GET /donors': {},
  'POST /donors': {
    body: { name: 'Sample donor', currency: 'EUR', items: [{ partId: 'marlund-4' }] },
  },
  'GET /donors/{id}': (told) => ({ params: { id: told('POST /donors').id } }),
  'PATCH /donors/{id}': (told) => {
    const { id, version } = told('POST /donors')
    return { params: { id }, body: { version, priceMinor: 45_000 } }
  },
  'DELETE /donors/{id}': (told) => ({ params: { id: told('POST /donors').id } }),

  'GET /suppliers': {},
  'POST /suppliers': { body: { name: 'Sample Supply', currency: 'EUR' } },
  'PATCH /suppliers/{id}': (told) => {
    const { id, version } = told('POST /suppliers')
    return {
      params: { id },
      // The port of the discard service: nobody answers.
      body: { version, shippingMinor: 650, feed: { address: 'http://127.0.0.1:9/prices' } },
    }
  },
  'POST /suppliers/{id}/readings': (told) => ({ params: { id: told('POST /suppliers').id } }),
  'GET /suppliers/{id}/readings': (told) => ({ params: { id: told('POST /suppliers').id } }),
  'POST /offers': (told) => ({
    body: {
      partId: 'marlund-4-disc',
      supplierId: told('POST /suppliers').id,
      priceMinor: 8_400,
      currency: 'EUR',
    },
  }),
  'PATCH /offers/{id}': (told) => {
    const { id, version } = told('POST /offers')
    return { params: { id }, body: { version, priceMinor: 8_650 } }
  },
  'GET /offers/{id}/prices': (told) => ({ params: { id: told('POST /offers').id } }),
  'POST /parts/{id}/owned': {
    params: { id: 'marlund-4-disc' },
    body: { pieces: 1, worthMinor: 4_000, currency: 'EUR' },
  },
  'GET /offers': (told) => ({ query: { supplier: told('POST /suppliers').id } }),
  'POST /photos': {
    query: { id: 'sample-photo', donorId: 'donor-1', note: 'Left front, hit' },
    body: new Blob([PIXEL]),
  },
  'GET /photos': { query: { donorId: 'donor-1' } },
  'PATCH /photos/{id}': (told) => {
    const { id, version } = told('POST /photos')
    return { params: { id }, body: { version, note: 'Left front, hit; rail straight' } }
  },
  'DELETE /photos/{id}': (told) => ({ params: { id: told('POST /photos').id } }),
  'DELETE /offers/{id}': (told) => ({ params: { id: told('POST /offers').id } }),
  'DELETE /suppliers/{id}': (told) => ({ params: { id: told('POST /suppliers').id } }),
  'GET /issuers': {},
  'POST /issuers': { body: { name: 'SMP' } },
  'PATCH /issuers/{id}': (told) => {
    const { id, version } = told('POST /issuers')
    return { params: { id }, body: { version, noise: ' -' } }
  },
  'DELETE /issuers/{id}': (told) => ({ params: { id: told('POST /issuers').id } }),
  'GET /rates': {},
  'POST /rates': {
    body: { fromCurrency: 'NOK', toCurrency: 'EUR', rate: 0.086, day: '2026-03-14' },
  },
  'PATCH /rates/{id}': (told) => {
    const { id, version } = told('POST /rates')
    return { params: { id }, body: { version, rate: 0.087 } }
  },
  'DELETE /rates/{id}': (told) => ({ params: { id: told('POST /rates').id } }),
  'POST /lists/preview': {
    query: { kind: 'suppliers' },
    body: new Blob(['Name;Currency;Carriage\nGannet Row Spares;EUR;6,50\n']),
  },
  'POST /lists/import': {
    query: { kind: 'suppliers' },
    body: new Blob(['Name;Currency;Carriage\nGannet Row Spares;EUR;6,50\n']),
  },
  'POST /offers/preview': { body: { csv: CSV, decimal: 'point' } },
  'POST /offers/import': { body: { csv: CSV, decimal: 'point' } },
  'POST /builds/import': { body: { format: 'junket-build', version: 2, tables: {} } },

  'POST /patterns/chords': {
    body: {
      count: 3,
      sense: 'counter-clockwise',
      looks: 'rearward',
      firstDeg: 90,
      chords: [
        { from: 1, to: 2, mm: 173.2 },
        { from: 2, to: 3, mm: 173.2 },
        { from: 1, to: 3, mm: 173.2 },
        { from: 1, to: 0, mm: 100 },
        { from: 2, to: 0, mm: 100 },
        { from: 3, to: 0, mm: 100 },
      ],
    },
  },
  'POST /patterns/trace': {
    body: {
      axis: { x: 400, y: 300 },
      holes: [{ centre: { x: 700, y: 300 }, edge: { x: 716, y: 300 } }],
      dowels: [],
      known: [{ from: { x: 100, y: 580 }, to: { x: 400, y: 580 }, mm: 100 }],
      view: 'looking at the face',
      looks: 'rearward',
    },
  },
  'POST /patterns/dxf': (_, { dxf }) => ({ body: { dxf } }),

  'GET /people': {},
  'POST /people': { body: { name: 'Sample person' } },
  'PATCH /people/{id}': (told) => {
    const { id, version } = told('POST /people')
    return { params: { id }, body: { version, decimal: 'comma' } }
  },
  'DELETE /people/{id}': (told) => ({ params: { id: told('POST /people').id } }),
  'GET /history': { query: { limit: 50 } },
  'POST /history/{entry}/restore': (told) => ({
    params: {
      entry: String(
        told('GET /history').items.find(({ act }) => act === 'update' || act === 'remove')?.id ?? 0,
      ),
    },
  }),
  'POST /undo': (_, { command }) => ({ body: { command } }),
  'GET /trash': {},
  'GET /set-aside': {},
  'PATCH /set-aside/{table}/{id}': {
    params: { table: 'supplier', id: 'tessil' },
    body: { version: 1, fields: { currency: 'EUR' } },
  },
  'POST /set-aside/{table}/{id}/put-back': {
    params: { table: 'supplier', id: 'brimble' },
    body: { version: 2 },
  },
  'DELETE /set-aside/{table}/{id}': { params: { table: 'supplier', id: 'anchor' } },
  'GET /backups': {},
  'POST /backups': {},
  'POST /backups/{name}/restore': (told) => ({ params: { name: told('POST /backups').name } }),
}
