import type { EngineFigure } from '../../../core/train/engine-figure.ts'
import type { GearboxFigure } from '../../../core/train/gearbox-figure.ts'
import { engineSide } from './engine-side.ts'
import { gearboxSide } from './gearbox-side.ts'
import { type Mark, pathOf } from './mark.ts'

/** One scale for all, so that a long engine is seen to be long. */
const PX_PER_MM = 0.025
const WIDTH = 44
const HEIGHT = 16
/** Block face and crank axis in the box, px. */
const FACE = { x: 22, y: 10 }

/** The outline of marks as one path, mm: what is closed and drawn at any scale; a lever would be a dot. */
export const outlinePath = (marks: readonly Mark[]): string =>
  marks
    .flatMap((mark) => {
      if (mark.detail !== 'silhouette' || mark.part === 'lever') return []
      if ('r' in mark) {
        const { at, r } = mark
        return `M${at[0] - r} ${at[1]}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`
      }
      return mark.closed ? pathOf(mark) : []
    })
    .join('')

/** Drawn once a part, however many rows it stands in. */
const paths = new WeakMap<object, string>()
function pathOnce<F extends object>(figure: F, draw: (figure: F) => readonly Mark[]): string {
  const held = paths.get(figure) ?? outlinePath(draw(figure))
  paths.set(figure, held)
  return held
}

/** Engine and gearbox from their left, as small as a row: the engine dark, the gearbox behind it pale. */
export const Silhouette = ({
  engine,
  gearbox,
}: {
  engine: EngineFigure | null
  gearbox: GearboxFigure | null
}) => (
  <svg width={WIDTH} height={HEIGHT} aria-hidden className="shrink-0">
    <g transform={`translate(${FACE.x} ${FACE.y}) scale(${PX_PER_MM})`}>
      {gearbox && <path d={pathOnce(gearbox, gearboxSide)} fill="var(--color-steel)" />}
      {engine && <path d={pathOnce(engine, engineSide)} fill="var(--color-ink)" />}
    </g>
  </svg>
)
