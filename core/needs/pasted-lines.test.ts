import { expect, test } from 'vitest'
import { needOfOwn } from './own-line.ts'
import { pastedLines } from './pasted-lines.ts'

test('rows of a spreadsheet are lines, under a heading or not, with tabs or semicolons', () => {
  expect(
    pastedLines('Part\tPlace\tQty\tPrice\tState\nHeader tank\tradiator\t1\t24.50\thad\n\n', 'EUR'),
  ).toEqual([
    {
      row: 2,
      words: 'Header tank',
      place: 'radiator',
      quantity: 1,
      priceMinor: 2450,
      state: 'had',
      note: null,
      fault: null,
    },
  ])
  expect(pastedLines('Loom, half;wiring;2;;paid', 'EUR')).toMatchObject([
    { words: 'Loom, half', place: 'wiring', quantity: 2, priceMinor: null, state: 'paid' },
  ])
})

test('what cannot be read is said by row, and the others stand', () => {
  const lines = pastedLines('Pump\ttank\tmany\t12,5,3\tlost\n\tcab\nHose\tnowhere', 'EUR')
  expect(lines.map(({ fault }) => fault !== null)).toEqual([true, true, false])
  for (const part of ['Row 1', '"many"', '"lost"']) expect(lines[0]!.fault).toContain(part)
  expect(lines[1]!.fault).toContain('first cell is blank')
  expect(lines[2]).toMatchObject({
    place: 'shop',
    quantity: 1,
    note: 'Place in the spreadsheet: nowhere',
  })
  const [two, less] = pastedLines('Horn;cab;1;1.500\nRadio;cab;1;-5', 'EUR')
  expect(two!.fault).toMatch(/1500 or 1\.5.*[^.]\.$/)
  expect(less!.fault).toBe('Row 2: "-5" is less than nothing.')
  expect(() => pastedLines('x\n'.repeat(501), 'EUR')).toThrow('at most 500')
})

test('a line by hand stands as any other, with why and hours, and rests on nobody’s rule', () => {
  expect(
    needOfOwn({
      id: 'x1',
      words: 'Shelf moved',
      place: 'cab',
      sort: 'task',
      stage: 'final fit',
      quantity: 1,
      hours: 2,
      state: null,
    }),
  ).toMatchObject({
    id: 'own:x1/cab/main',
    outcome: 'yes',
    level: 'required',
    hours: [2, 2, 4],
    why: [{ words: 'Written by hand' }],
  })
})
