import { expect, test } from 'vitest'
import { typedPorts } from '../ports/part-kinds.ts'
import { DIMENSIONS, dimensionId, dimensionWords, PLACES, VIEWS } from './dimensions.ts'
import { roomOf } from './room.ts'

test('every dimension names a field of a port a vehicle is typed with, once, with how it is measured', () => {
  const ports = new Set(typedPorts('vehicle').map(({ kind, slot }) => `${kind}/${slot}`))
  for (const dimension of DIMENSIONS) {
    expect(ports).toContain(dimension.port)
    expect(dimensionWords(dimension).methods.length).toBeGreaterThan(0)
    expect(dimensionWords(dimension).how!.length).toBeGreaterThan(10)
  }
  expect(new Set(DIMENSIONS.map(dimensionId)).size).toBe(DIMENSIONS.length)
})

test('every view and every place has something to measure', () => {
  for (const view of VIEWS) expect(DIMENSIONS.some((one) => one.view === view)).toBe(true)
  for (const place of PLACES) expect(DIMENSIONS.some((one) => one.place === place)).toBe(true)
})

const unknown = Number.NaN
const none = {
  length: unknown,
  width: unknown,
  height: unknown,
  booster: unknown,
  column: unknown,
  tunnel: unknown,
}

// Design notes: tunnel 254 mm against a gearbox of 279 mm: the train goes down, or the body up, 25 mm; with 20 mm kept for movement, 45.
test('a gearbox taller than its tunnel: how far the train must drop', () => {
  const at = (mm: number) => ({ bell: mm, lever: unknown, tail: unknown, case: unknown })
  const { rooms, dropMm } = roomOf(at(254), at(279), none, none)
  expect(rooms[0]!.spareMm).toBe(-25)
  expect(dropMm).toBe(45)
})

test('the worst station decides; nothing measured says nothing', () => {
  const tunnel = { bell: 330, lever: 300, tail: 280, case: unknown }
  const box = { bell: 290, lever: 270, tail: 275, case: unknown }
  expect(roomOf(tunnel, box, none, none).dropMm).toBe(15)
  const { rooms, dropMm } = roomOf(
    { ...tunnel, bell: unknown, lever: unknown, tail: unknown },
    box,
    none,
    none,
  )
  expect(dropMm).toBeNull()
  expect(rooms.every((room) => room.spareMm === null)).toBe(true)
})

test('bay: length and width spare, width on each side', () => {
  const { rooms } = roomOf(
    { bell: unknown, lever: unknown, tail: unknown, case: unknown },
    { bell: unknown, lever: unknown, tail: unknown, case: unknown },
    { ...none, length: 700, width: 640, height: 500, booster: 295, tunnel: 420 },
    { length: 540, width: 560, height: 615 },
    360,
  )
  const spare = (id: string) => rooms.find((room) => room.id === id)!.spareMm
  expect([spare('booster'), spare('column'), spare('tunnel-width')]).toEqual([15, null, 30])
  expect(rooms.filter((room) => room.id.startsWith('bay')).map((room) => room.spareMm)).toEqual([
    160, 40, 90,
  ])
})
