import { expect, test } from 'vitest'
import { designPlate } from '../core/patterns/plate.ts'
import { demoDocument } from './index.ts'

test('the document is the same every time, and of the size promised', () => {
  const { tables } = demoDocument()
  expect(JSON.stringify(demoDocument().tables)).toBe(JSON.stringify(tables))
  expect(tables.part!.filter((row) => row.kind === 'engine')).toHaveLength(30)
  expect(tables.part!.filter((row) => row.kind === 'transmission')).toHaveLength(20)
  expect(tables.part!.filter((row) => row.kind === 'transfer-case')).toHaveLength(4)
  expect(tables.part!.filter((row) => row.kind === 'vehicle')).toHaveLength(4)
  expect(tables.part!.length).toBeGreaterThanOrEqual(600)
  expect(tables.offer!.length).toBeGreaterThanOrEqual(2200)
  expect([tables.kit!.length, tables.donor!.length, tables.supplier!.length]).toEqual([30, 6, 15])
})

test('every id is given once', () => {
  for (const rows of Object.values(demoDocument().tables))
    expect(new Set(rows.map((row) => row.id)).size).toBe(rows.length)
})

test('every plate that is sold could be made: its two patterns leave metal between their holes', () => {
  const { tables } = demoDocument()
  const claimed = (portId: string, field: string) =>
    tables.claim!.find((claim) => claim.portId === portId && claim.field === field)?.value as never
  const plates = tables.part!.filter(
    (row) =>
      row.kind === 'plate' && tables.port!.some((port) => port.id === `${row.id}/face/front`),
  )
  expect(plates.length).toBeGreaterThanOrEqual(4)
  for (const { id } of plates) {
    const face = (slot: string) => ({
      holes: claimed(`${id}/face/${slot}`, 'holes'),
      dowels: claimed(`${id}/face/${slot}`, 'dowels') ?? [],
    })
    expect([id, designPlate(face('front'), face('rear'), null, false).thin]).toEqual([id, []])
  }
})
