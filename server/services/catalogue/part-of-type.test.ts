import { beforeEach, expect, test } from 'vitest'
import { ownedInput } from '../../../contract/rows.ts'
import { openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { OWN_SHELF, putOnShelf } from './own-shelf.ts'
import { createPart, partDetail } from './parts.ts'

let store: Store
beforeEach(async () => {
  store = new Store(await openDatabase(':memory:'))
})

test('a part of a type has what is assumed of it; what is typed stands before that', async () => {
  const part = await createPart(store, {
    kind: 'engine',
    name: 'Found in a barn',
    template: 'alloy-four-lengthwise',
    ports: [
      {
        kind: 'engine-output',
        slot: 'main',
        fields: { redlineRpm: { value: 5200, grade: 'measured' } },
      },
      { kind: 'face', slot: 'rear', fields: { mayTurn: { value: false, grade: 'heard' } } },
    ],
  })
  const { ports, kind } = await partDetail(store, part.id)
  expect(kind).toBe('engine')
  const output = ports.find((port) => port.kind === 'engine-output')!
  const claims = (name: string) => output.fields.find((field) => field.name === name)!.claims
  expect(claims('peakTorqueNm').map(({ grade }) => grade)).toEqual(['assumed'])
  expect(claims('redlineRpm').find(({ used }) => used)).toMatchObject({ value: 5200 })
  // The pieces that came with it are named, so that the first measurement has where to go.
  expect((await store.list('part', { ownerId: part.id })).length).toBeGreaterThan(2)
})

test('a type of another kind is refused, and nothing is written', async () => {
  await expect(
    createPart(store, { kind: 'vehicle', name: 'V', template: 'alloy-four-lengthwise' }),
  ).rejects.toThrow('is not a type of')
  expect(await store.list('part')).toHaveLength(0)
})

test('what the shop owns is offered from its own shelf once, at what was said last', async () => {
  await createPart(store, { id: 'disc', kind: 'disc', name: 'Disc' })
  await putOnShelf(store, 'disc', ownedInput.parse({ currency: 'EUR' }))
  await putOnShelf(
    store,
    'disc',
    ownedInput.parse({ currency: 'EUR', worthMinor: 4000, pieces: 2 }),
  )
  expect(await store.list('offer')).toMatchObject([
    { supplierId: OWN_SHELF, priceMinor: 4000, stock: 2, leadDays: 0 },
  ])
  await expect(
    putOnShelf(store, 'nothing', ownedInput.parse({ currency: 'EUR' })),
  ).rejects.toThrow()
})
