import { expect, test } from 'vitest'
import { demoDocument } from './index.ts'

test('the document is the same every time, and of the size promised', () => {
  const { tables } = demoDocument()
  expect(JSON.stringify(demoDocument().tables)).toBe(JSON.stringify(tables))
  expect(tables.part!.filter((row) => row.kind === 'engine')).toHaveLength(30)
  expect(tables.part!.filter((row) => row.kind === 'transmission')).toHaveLength(20)
  expect(tables.part!.filter((row) => row.kind === 'transfer-case')).toHaveLength(4)
  expect(tables.part!.filter((row) => row.kind === 'vehicle')).toHaveLength(4)
  expect(tables.part!.length).toBeGreaterThanOrEqual(150)
  expect(tables.offer!.length).toBeGreaterThanOrEqual(500)
  expect([tables.kit!.length, tables.donor!.length, tables.supplier!.length]).toEqual([8, 6, 6])
})

test('every id is given once', () => {
  for (const rows of Object.values(demoDocument().tables)) expect(new Set(rows.map((row) => row.id)).size).toBe(rows.length)
})
