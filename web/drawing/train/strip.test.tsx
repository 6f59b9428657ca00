// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { trainFigure } from '../../../core/train/train-figure.ts'
import { demoTrain } from '../../../demo/compiled.ts'
import { Strip } from './strip.tsx'
import type { StripJoint } from './strip-joints.ts'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

const joint = (id: string, short: string, code: StripJoint['code']): StripJoint => ({
  joint: id,
  short,
  code,
  closed: null,
  evidence: 'maker',
})
const JOINTS = [
  joint('block-face', 'Face', 'bridge'),
  joint('pilot', 'Pilot', 'fits'),
  joint('clutch-disc', 'Disc', 'fits'),
  joint('sump-clearance', 'Sump', 'work'),
]
const strip = (engine: string, selected: string | null = null, onSelect = vi.fn()) => {
  render(
    <Strip
      train={trainFigure(demoTrain(engine, 'marlund-4'))}
      name="Lantern"
      joints={JOINTS}
      selected={selected}
      onSelect={onSelect}
    />,
  )
  return onSelect
}

test('the drawing says in words what it shows and what nobody measured', () => {
  strip('quill-late')
  const words = screen.getByRole('img', { name: /^Side view to scale, lengthwise/ })
  expect(words.getAttribute('aria-label')).toContain('4 cylinders in line')
  expect(words.getAttribute('aria-label')).toMatch(/not measured: .*pan/)
})

test('what mates recedes to one of its place and opens; what does not keeps its word, and opens its why sheet', async () => {
  const onSelect = strip('wick-2')
  fireEvent.click(screen.getByRole('button', { name: /Face/ }))
  expect(onSelect).toHaveBeenCalledWith('block-face')
  expect(screen.queryByRole('button', { name: /Pilot/ })).toBeNull()
  const settled = screen.getByRole('button', { name: '2 mate at the mating plane' })
  fireEvent.keyDown(settled, { key: 'Enter' })
  fireEvent.click(await screen.findByRole('menuitem', { name: /Disc/ }))
  expect(onSelect).toHaveBeenCalledWith('clutch-disc')
})

test('a joint that is chosen stands by itself, whatever it reads', () => {
  strip('wick-2', 'pilot')
  expect(screen.getByRole('button', { name: /Pilot/ }).getAttribute('aria-pressed')).toBe('true')
  expect(screen.getByRole('button', { name: '1 mate at the mating plane' })).toBeTruthy()
})

test('it is seen from above, from the front and in section, and opens again as it was left', () => {
  strip('wick-2')
  fireEvent.click(screen.getByRole('button', { name: 'Plan' }))
  expect(screen.getByRole('img', { name: /^Plan view to scale/ })).toBeTruthy()
  fireEvent.click(screen.getByRole('button', { name: 'Mating plane' }))
  expect(
    screen.getByRole('img', { name: /^Mating plane in section, clutch: .*flange 14\.7 mm/ }),
  ).toBeTruthy()
  cleanup()
  strip('wick-2')
  expect(screen.getByRole('img', { name: /^Mating plane in section/ })).toBeTruthy()
})
