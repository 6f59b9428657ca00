import fc from 'fast-check'
import { expect, test } from 'vitest'
import { readDay } from './read-day.ts'
import { readMass } from './read-mass.ts'

test('days as lists write them; with strokes both ways are asked about unless one is said', () => {
  expect(readDay('2026-3-4', 'ask')).toEqual({ day: '2026-03-04' })
  expect(readDay('14.03.2026', 'mdy')).toEqual({ day: '2026-03-14' })
  expect(readDay('14/3/2026', 'ask')).toEqual({ day: '2026-03-14' })
  expect(readDay('3/14/2026', 'ask')).toEqual({ day: '2026-03-14' })
  expect(readDay('3/4/2026', 'dmy')).toEqual({ day: '2026-04-03' })
  expect(readDay('3/4/2026', 'mdy')).toEqual({ day: '2026-03-04' })
  expect(readDay('3/4/2026', 'ask')).toHaveProperty('why')
  expect(readDay('4/4/2026', 'ask')).toEqual({ day: '2026-04-04' })
  expect(readDay('2004', 'ask')).toEqual({ day: '2004' })
  expect(readDay('2004-3', 'ask')).toEqual({ day: '2004-03' })
  for (const text of ['2026-02-30', '31.04.2026', '2004-13', 'soon', '', '1/2/26'])
    expect(readDay(text, 'dmy')).toHaveProperty('why')
})

test('every day of the calendar is read back from each way it is written', () => {
  const days = fc.date({
    min: new Date('1900-01-01'),
    max: new Date('2099-12-31'),
    noInvalidDate: true,
  })
  fc.assert(
    fc.property(days, (at) => {
      const day = at.toISOString().slice(0, 10)
      const [year, month, date] = day.split('-')
      expect(readDay(day, 'ask')).toEqual({ day })
      expect(readDay(`${date}.${month}.${year}`, 'ask')).toEqual({ day })
      expect(readDay(`${date}/${month}/${year}`, 'dmy')).toEqual({ day })
      expect(readDay(`${month}/${date}/${year}`, 'mdy')).toEqual({ day })
    }),
  )
})

test('a mass has a unit: the pound is 453.592 37 g exactly (international yard and pound agreement, 1959)', () => {
  expect(readMass('9.8 kg')).toEqual({ g: 9800 })
  expect(readMass('9,8kg')).toEqual({ g: 9800 })
  expect(readMass('100 lb')).toEqual({ g: 45359 })
  expect(readMass('16 oz')).toEqual({ g: 454 })
  expect(readMass('12')).toHaveProperty('why')
  expect(readMass('12 stone')).toHaveProperty('why')
  expect(readMass('heavy')).toHaveProperty('why')
})
