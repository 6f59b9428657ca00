import { expect, test } from 'vitest'
import { jointNamed } from '../../../core/joints/index.ts'
import { tolerances } from '../../../core/joints/tolerances.ts'
import { recordTrain } from '../../../core/pairing/pairing.ts'
import { demoTrain } from '../../../demo/compiled.ts'
import { decides, differencesOf } from './differences.ts'

/** What a comparison reads of a pairing. */
const detail = (engine: string, box: string) => ({
  chosenNames: [],
  joints: recordTrain(demoTrain(engine, box), { tolerances: tolerances(), use: 'road' }).map(
    (bare) => ({ joint: bare.joint, bare }),
  ),
})

test('a pairing beside itself differs nowhere; beside another, only where they read otherwise', () => {
  const own = detail('hob', 'marlund-4')
  expect(differencesOf([own, own]).differing).toEqual([])
  const other = detail('quill-late', 'sunagi-5')
  const { differing, alike } = differencesOf([own, other])
  expect(differing.length).toBeGreaterThan(2)
  expect(differing.length + alike).toBeGreaterThanOrEqual(own.joints.length)
  for (const {
    cells: [a, b],
  } of differing)
    expect([a?.code, a?.words]).not.toEqual([b?.code, b?.words])
})

test('rows stand front to back as the joints do, each with what decides it', () => {
  const { differing } = differencesOf([
    detail('hob', 'marlund-4'),
    detail('wick-2', 'marlund-4'),
    detail('anvil', 'marlund-4'),
  ])
  const numbers = differing.map(({ joint }) => jointNamed(joint)!.number)
  expect(numbers).toEqual(numbers.toSorted((a, b) => a - b))
  const torque = differing.find(({ joint }) => joint === 'torque')!
  expect(torque.cells[2]).toMatchObject({ code: 'clash' })
  expect(torque.cells[2]!.words).toMatch(/−\d+(\.\d)? N·m$/)
})

test('what is missing, what is to be done and what is put in are named', () => {
  const verdicts = recordTrain(demoTrain('quill-late', 'marlund-4'), {
    tolerances: tolerances(),
    use: 'road',
  })
  const missing = verdicts.find(({ code }) => code === 'unmeasured')!
  expect(decides(missing, [])).toContain(missing.missing[0]!.label.toLowerCase())
  const fits = verdicts.find(({ code }) => code === 'fits')!
  expect(decides(fits, ['Plate 12'])).toBe('Plate 12')
  expect(decides(fits, [])).toBe('mates as it is')
})
