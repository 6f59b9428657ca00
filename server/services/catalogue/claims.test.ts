import { beforeEach, expect, test } from 'vitest'
import { openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { exportBuild, importDocument } from '../builds/build-document.ts'
import { onePart } from './one-part.ts'
import { addClaim, createPart, partDetail, strikeClaim } from './parts.ts'

let store: Store
const PORT = 'disc/disc-hub/main'
const said = (rest: object) =>
  addClaim(store, {
    portId: PORT,
    field: 'endMm',
    decimal: 'ask',
    grade: 'measured',
    thisVeryPart: false,
    ...rest,
  })
const endOf = async (): Promise<unknown> => {
  const { ports } = await onePart(store, 'disc')
  const port = ports.find(({ id }) => id === PORT)
  return port?.kind === 'disc-hub' ? port.endMm?.v : undefined
}

beforeEach(async () => {
  store = new Store(await openDatabase(':memory:'))
  await createPart(store, { id: 'disc', kind: 'disc', name: 'Disc' })
})

test('what no part can have is refused where it is recorded, and nothing is written', async () => {
  await expect(said({ field: 'splines', typed: '0' })).rejects.toThrow('Splines')
  await expect(said({ field: 'splines', value: 22.5 })).rejects.toThrow('whole number')
  await said({ typed: '18' })
  await expect(said({ field: 'startMm', typed: '30' })).rejects.toThrow('must be less than')
  expect(await store.list('claim')).toHaveLength(1)
})

test('of claims that tie the one entered last is used; one taken and not used says which stands, and why', async () => {
  expect(await said({ typed: '18', method: 'caliper', by: 'Ida' })).toMatchObject({ notUsed: null })
  expect(await said({ typed: '18.4', method: 'caliper', by: 'Tove' })).toMatchObject({
    notUsed: null,
  })
  expect(await endOf()).toBe(18.4)
  const loose = await said({ typed: '19', method: 'rule' })
  expect(loose.notUsed).toContain('18.4 stands (measured: Tove')
  expect(loose.notUsed).toContain('known more closely')
  expect((await said({ typed: '20', grade: 'heard' })).notUsed).toContain('nearer')
  expect(await endOf()).toBe(18.4)
})

test('a claim struck out is kept with who and why, and never used; what stood before stands again', async () => {
  await said({ typed: '18', method: 'caliper' })
  const slip = await said({ typed: '81', method: 'caliper' })
  expect(await endOf()).toBe(81)
  await strikeClaim(store, slip.id, { version: slip.version, why: 'Digits turned', by: 'Ida' })
  expect(await endOf()).toBe(18)
  const { ports } = await partDetail(store, 'disc')
  const field = ports.find(({ id }) => id === PORT)!.fields.find(({ name }) => name === 'endMm')!
  expect(field.claims.map(({ used, struckWhy }) => [used, struckWhy ?? null])).toEqual([
    [true, null],
    [false, 'Digits turned'],
  ])
})

test('a claim from before ranges were held is kept, marked and not used, and a document with one is not read', async () => {
  const claim = await said({ field: 'majorMm', typed: '24' })
  await store.transaction((tx) => tx.update('claim', claim.id, claim.version, { value: -24 }))
  const { ports } = await partDetail(store, 'disc')
  const field = ports.find(({ id }) => id === PORT)!.fields.find(({ name }) => name === 'majorMm')!
  expect(field.value).toBeNull()
  expect(field.claims[0]).toMatchObject({ isImpossible: true, used: false })
  await store.transaction(async (tx) => {
    await tx.insert('part', { id: 'van', kind: 'vehicle', name: 'Van' })
    await tx.insert('build', { id: 'b', name: 'B', currency: 'EUR', recipientId: 'van' })
    await tx.insert('port', {
      id: 'van/axle/rear',
      partId: 'van',
      kind: 'axle',
      slot: 'rear',
      looks: null,
    })
    await tx.insert('claim', { portId: 'van/axle/rear', field: 'ratio', value: -4, grade: 'heard' })
  })
  const document = await exportBuild(store, 'b')
  const other = new Store(await openDatabase(':memory:'))
  await expect(importDocument(other, document)).rejects.toThrow('Axle ratio')
  expect(await other.list('part')).toHaveLength(0)
})

test('a document with figures that contradict one another is not read, and says which', async () => {
  await store.transaction(async (tx) => {
    await tx.insert('part', { id: 'van', kind: 'vehicle', name: 'Van' })
    await tx.insert('build', { id: 'b', name: 'B', currency: 'EUR', recipientId: 'van' })
    const port = {
      id: 'van/lever-opening/main',
      partId: 'van',
      kind: 'lever-opening',
      slot: 'main',
    }
    await tx.insert('port', { ...port, looks: null })
    for (const [field, value] of [
      ['fromMm', 500],
      ['toMm', 300],
    ] as const)
      await tx.insert('claim', { portId: port.id, field, value, grade: 'measured' })
  })
  const other = new Store(await openDatabase(':memory:'))
  await expect(importDocument(other, await exportBuild(store, 'b'))).rejects.toThrow(
    /van\/lever-opening\/main.* must be less than/,
  )
  expect(await other.list('part')).toHaveLength(0)
})

test('figures that contradict from before keep nobody from recording others', async () => {
  const end = await said({ typed: '18' })
  await said({ field: 'startMm', typed: '-6' })
  await store.transaction((tx) => tx.update('claim', end.id, end.version, { value: -20 }))
  await said({ field: 'majorMm', typed: '24' })
  await expect(said({ field: 'startMm', typed: '-5', method: 'caliper' })).rejects.toThrow(
    'must be less than',
  )
  expect(await said({ typed: '18.2', method: 'caliper' })).toMatchObject({ notUsed: null })
})

test('what is only unusual is asked once where it is typed; a program is not asked', async () => {
  await createPart(store, { id: 'van', kind: 'vehicle', name: 'Van' })
  const axle = { portId: 'van/pinion/main', field: 'alongMm' }
  await expect(said({ ...axle, typed: '-1200' })).rejects.toThrow('The axle would stand ahead')
  expect(await store.list('claim')).toHaveLength(0)
  expect(await said({ ...axle, typed: '-1200', isSo: true })).toMatchObject({ value: -1200 })
  expect(await said({ ...axle, value: -1300 })).toMatchObject({ value: -1300 })
  // What no part can have is refused, whoever says that it is so.
  await expect(said({ ...axle, typed: '-9000', isSo: true })).rejects.toThrow('from -6000')
})

test('places typed of a face that looks forward state how it was seen, and are mirrored for whoever looked at it', async () => {
  await createPart(store, { id: 'box', kind: 'transmission', name: 'Box' })
  await createPart(store, { id: 'block', kind: 'engine', name: 'Block' })
  const front = { portId: 'box/face/front', field: 'holes', typed: '100 20 10.5\n-80 40 10.5' }
  await expect(said(front)).rejects.toThrow('This face looks forward')
  expect(await store.list('claim')).toHaveLength(0)
  const storedOf = async (rest: object): Promise<unknown> => ((await said(rest)) as any).value
  expect(await storedOf({ ...front, view: 'looking at the face' })).toMatchObject([
    { x: -100, y: 20 },
    { x: 80, y: 40 },
  ])
  expect(await storedOf({ ...front, view: 'from the gearbox' })).toMatchObject([
    { x: 100, y: 20 },
    { x: -80, y: 40 },
  ])
  // A face that looks rearward is kept as it is seen; what a program sends stands in the train's view already.
  expect(
    await storedOf({ portId: 'block/face/rear', field: 'holes', typed: '100 20 10' }),
  ).toMatchObject([{ x: 100, y: 20 }])
  await createPart(store, { id: 'wheel', kind: 'flywheel', name: 'Wheel' })
  expect(
    await storedOf({
      portId: 'wheel/flywheel/main',
      field: 'angles',
      typed: '0 60 130',
      view: 'looking at the face',
    }),
  ).toEqual([180, 120, 50])
})
