import { describe, expect, it } from 'vitest'
import { compilePart } from '../../../core/ports/index.ts'
import { fromTemplate, TEMPLATES } from '../../../core/templates/index.ts'
import { type EngineFigure, engineFigure } from '../../../core/train/engine-figure.ts'
import { type VehicleFigure, vehicleFigure } from '../../../core/train/vehicle-figure.ts'
import { engineEnd } from './engine-end.ts'
import { enginePlan } from './engine-plan.ts'
import { engineSide } from './engine-side.ts'
import { boundsOf, type Mark } from './mark.ts'
import { steeringFront, steeringPlan, steeringSide } from './steering.ts'

const engines = TEMPLATES.filter(({ kind }) => kind === 'engine').map((template) =>
  engineFigure(compilePart(fromTemplate(template, template.id))),
)
const row: EngineFigure = {
  ...engines.find(({ arrangement }) => arrangement === 'in line')!,
  slantDeg: 0,
}
const vee: EngineFigure = { ...row, arrangement: 'in a vee', count: 8, bankDeg: 90, hot: 'both' }
const charger = (marks: readonly Mark[]): readonly Mark[] =>
  marks.filter(({ part }) => part === 'charger')
const middle = (marks: readonly Mark[], along: 'x' | 'y'): number => {
  const bounds = boundsOf(marks)
  return along === 'x' ? (bounds.x0 + bounds.x1) / 2 : (bounds.y0 + bounds.y1) / 2
}

describe('what charges an engine', () => {
  it('is drawn where there is something, in every view', () => {
    for (const engine of engines)
      for (const draw of [engineSide, enginePlan, engineEnd])
        expect(charger(draw({ ...engine, air: 'natural' }))).toEqual([])
    for (const engine of [row, vee])
      for (const draw of [enginePlan, engineEnd])
        for (const air of ['turbo', 'blower'] as const)
          expect(charger(draw({ ...engine, air })).length).toBeGreaterThan(0)
  })

  it('stands on the hot side: right of the crank from behind and up the page from above, or the other way about', () => {
    for (const [hot, way] of [
      ['right', 1],
      ['left', -1],
    ] as const) {
      const engine: EngineFigure = { ...row, air: 'turbo', hot }
      expect(Math.sign(middle(charger(engineEnd(engine)), 'x'))).toBe(way)
      expect(Math.sign(middle(charger(enginePlan(engine)), 'y'))).toBe(-way)
    }
  })

  it('hides behind an engine that is hot on the right; a blower stands over the banks of a vee', () => {
    expect(charger(engineSide({ ...row, air: 'turbo', hot: 'right' }))).toEqual([])
    expect(charger(engineSide({ ...row, air: 'turbo', hot: 'left' })).length).toBeGreaterThan(0)
    const blown = engineSide({ ...vee, air: 'blower' })
    const plain = boundsOf(engineSide({ ...vee, air: 'natural' }))
    expect(boundsOf(charger(blown)).y0).toBeLessThan(plain.y0)
  })
})

describe('the steering in the bay', () => {
  const vehicle: VehicleFigure = { ...vehicleFigure(null), columnMm: 285, under: [] }
  const part = (marks: readonly Mark[], name: string): readonly Mark[] =>
    marks.filter((mark) => mark.part === name)

  it('has its shaft as far from the crank as it was measured, and dotted where it was not', () => {
    for (const [draw, along] of [
      [steeringPlan, 'y'],
      [steeringFront, 'x'],
    ] as const) {
      const shaft = part(draw(vehicle), 'steering shaft')
      expect(middle(shaft, along)).toBe(285)
      expect(shaft.every(({ known }) => known)).toBe(true)
      const open = part(draw({ ...vehicle, columnMm: null }), 'steering shaft')
      expect(open.some(({ known }) => known)).toBe(false)
    }
  })

  it('is not drawn twice where it was measured under the engine, nor in a tractor', () => {
    const measured = { fromMm: 100, toMm: 180, depthMm: 90, moving: true, name: 'Steering rack' }
    for (const draw of [steeringSide, steeringPlan, steeringFront]) {
      expect(draw(vehicle).length).toBeGreaterThan(0)
      expect(draw({ ...vehicle, under: [measured] })).toEqual([])
      expect(draw({ ...vehicle, layout: 'tractor' })).toEqual([])
    }
  })
})
