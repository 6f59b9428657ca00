// @vitest-environment jsdom
import { render } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { compilePart } from '../../../core/ports/index.ts'
import { fromTemplate, TEMPLATES } from '../../../core/templates/index.ts'
import { engineFigure } from '../../../core/train/engine-figure.ts'
import { gearboxFigure } from '../../../core/train/gearbox-figure.ts'
import { engineSide } from './engine-side.ts'
import { boundsOf, disc, line, outline } from './mark.ts'
import { outlinePath, Silhouette } from './silhouette.tsx'

const compiled = TEMPLATES.map((template) => ({
  kind: template.kind,
  part: compilePart(fromTemplate(template, template.id)),
}))
const engines = compiled.flatMap(({ kind, part }) => (kind === 'engine' ? engineFigure(part) : []))
const boxes = compiled.flatMap(({ kind, part }) =>
  kind === 'transmission' ? gearboxFigure(part) : [],
)

describe('silhouettes of engines and gearboxes', () => {
  it('are closed outlines that are drawn at any scale, in millimetres', () => {
    const square = outline(
      'casting',
      [
        [0, 0],
        [10, 0],
        [10, 10],
      ],
      'silhouette',
    )
    expect(outlinePath([square])).toBe('M0 0L10 0L10 10Z')
    expect(
      outlinePath([
        line(
          'casting',
          [
            [0, 0],
            [1, 1],
          ],
          'silhouette',
        ),
      ]),
    ).toBe('')
    expect(
      outlinePath([
        outline('casting', [
          [0, 0],
          [1, 0],
          [1, 1],
        ]),
      ]),
    ).toBe('')
    expect(outlinePath([disc('turned', 5, 0, 2, 'silhouette')])).toBe(
      'M3 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0Z',
    )
  })

  it('draw every type, on one scale: a longer engine is a longer outline', () => {
    expect(engines.length).toBeGreaterThan(3)
    for (const engine of engines) {
      const xs = [...outlinePath(engineSide(engine)).matchAll(/[ML](-?[\d.]+) /g)].map(([, x]) =>
        Number(x),
      )
      const { x0, x1 } = boundsOf(
        engineSide(engine).filter(({ detail }) => detail === 'silhouette'),
      )
      expect(Math.min(...xs)).toBeGreaterThanOrEqual(x0 - 1)
      expect(Math.max(...xs)).toBeLessThanOrEqual(x1 + 1)
    }
  })

  it('put the engine over its gearbox, and draw what there is of both', () => {
    const { container, rerender } = render(<Silhouette engine={engines[0]!} gearbox={boxes[0]!} />)
    expect(container.querySelectorAll('path')).toHaveLength(2)
    rerender(<Silhouette engine={null} gearbox={boxes[0]!} />)
    expect(container.querySelectorAll('path')).toHaveLength(1)
  })
})
