import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { demoDocument } from '../../../demo/index.ts'
import { exportBuild, importDocument } from '../../services/builds/build-document.ts'
import { undoCommand } from '../../services/keeping/history.ts'
import { MIGRATIONS, openDatabase } from '../sqlite/connection.ts'
import { Store } from '../store.ts'

test('parts put in on a pairing become rows, those that are gone are left out, and what was done before is still undone', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-')), 'junket.sqlite')
  const old = await openDatabase(file, MIGRATIONS.slice(0, 5))
  for (const [id, kind] of [
    ['e', 'engine'],
    ['t', 'transmission'],
    ['plate', 'plate'],
  ])
    await old('part').insert({ id, kind, name: id })
  await old('build').insert({ id: 'b', name: 'B', currency: 'EUR' })
  const put = (parts: readonly string[]): string => JSON.stringify({ v: 1, data: parts })
  await old('pairing').insert({
    id: 'p',
    buildId: 'b',
    engineId: 'e',
    transmissionId: 't',
    chosen: 1,
    version: 2,
    inserted: put(['plate', 'gone']),
  })
  const told = (values: object): string => JSON.stringify({ v: 1, data: values })
  await old('history').insert({
    at: '2026-01-01',
    who: 'bench',
    command: 'c',
    entity: 'pairing',
    entityId: 'p',
    act: 'update',
    before: told({ chosen: false, inserted: null }),
    after: told({ chosen: true, inserted: ['plate', 'gone'] }),
  })
  await old.destroy()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  expect(
    (await store.list('pairingPart')).map(({ pairingId, partId }) => [pairingId, partId]),
  ).toEqual([['p', 'plate']])
  expect(await store.get('pairing', 'p')).not.toHaveProperty('inserted')
  await undoCommand(store, 'c')
  expect((await store.get('pairing', 'p')).chosen).toBe(false)
  await knex.destroy()
})

test('documents of versions 1 and 2 are read as one of version 3, and go out as that', async () => {
  const all = demoDocument()
  // What earlier versions could tell of numbers: one by one, on a part.
  const number = all.tables.partNumber!.find(({ id }) => id === 'number-MLD-417.18')!
  const ofDisc = all.tables.supersessionNumber!.filter(
    ({ supersessionId }) => supersessionId === 'supersession-disc',
  )
  const bare = Object.fromEntries(
    Object.entries(all.tables).filter(
      ([table]) => !['interchange', 'interchangeNumber', 'application'].includes(table),
    ),
  )
  const tables = {
    ...bare,
    partNumber: [number],
    supersession: all.tables.supersession!.filter(({ id }) => id === 'supersession-disc'),
    supersessionNumber: ofDisc,
  }
  const { mark: _m, again: _a, grade: _g, ...oldNumber } = number
  const { supersessionNumber: _s, ...second }: Record<string, Record<string, unknown>[]> = {
    ...tables,
    partNumber: [oldNumber],
    supersession: [
      {
        id: 'supersession-disc',
        partId: 'marlund-4-disc',
        issuerId: 'issuer-MLD',
        oldNumber: '417.18',
        newNumber: '417.20',
        oneWay: true,
      },
    ],
  }
  const { pairingPart: parts = [], ...rest } = second
  const pairing = rest.pairing!.map((row) => ({
    ...row,
    inserted: parts.filter((part) => part.pairingId === row.id).map((part) => part.partId),
  }))
  const read = await Promise.all(
    [
      { ...all, tables },
      { format: 'junket-build', version: 2, tables: second },
      { format: 'junket-build', version: 1, tables: { ...rest, pairing } },
    ].map(async (document) => {
      const knex = await openDatabase(':memory:')
      const store = new Store(knex)
      await importDocument(store, JSON.parse(JSON.stringify(document)))
      const out = await exportBuild(store, 'lantern')
      await knex.destroy()
      return out
    }),
  )
  const plain = ({ tables: own }: (typeof read)[number]) => ({
    ...own,
    pairingPart: own.pairingPart!.map(({ pairingId, partId }) => ({ pairingId, partId })),
  })
  expect(read.map(({ version }) => version)).toEqual([3, 3, 3])
  expect(plain(read[0]!).supersessionNumber).toHaveLength(2)
  expect(plain(read[1]!)).toEqual(plain(read[0]!))
  expect(plain(read[2]!)).toEqual(plain(read[0]!))
})
