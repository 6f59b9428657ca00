import { AXIS_DASH, DAY, DOTTED, INKS, type Tone } from './ink.ts'
import { boundsOf, type Mark, pathOf } from './mark.ts'

const HATCHED: Readonly<Partial<Record<Tone, keyof typeof DAY>>> = {
  hatch: 'paper',
  'hatch-other': 'ground',
  'hatch-fine': 'bench',
}
const paint = (tone: Tone | null): string =>
  tone === null ? 'none' : DAY[HATCHED[tone] ?? (tone as keyof typeof DAY)]
const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')
const MARGIN = 40

/** Marks as an SVG file in millimetres: a drawing program measures it as it is. Line widths are of the paper, at a tenth. */
export function trainFile(marks: readonly Mark[], title: string): string {
  const { x0, y0, x1, y1 } = boundsOf(marks)
  const [w, h] = [x1 - x0 + 2 * MARGIN, y1 - y0 + 2 * MARGIN].map(
    (mm) => Math.round(mm * 100) / 100,
  )
  const shapes = marks.map((mark) => {
    const ink = INKS[mark.look]
    const isFilled = 'r' in mark || mark.closed
    const look = [
      `fill="${isFilled ? paint(ink.fill) : 'none'}"`,
      `stroke="${paint(mark.known ? ink.stroke : (ink.stroke ?? 'ink'))}"`,
      `stroke-width="${Math.max(0.4, ink.width) * 3}"`,
      ...(mark.known
        ? mark.look === 'axis'
          ? [`stroke-dasharray="${scaled(AXIS_DASH)}"`]
          : []
        : [`stroke-dasharray="${scaled(DOTTED)}"`]),
    ].join(' ')
    const shape =
      'r' in mark
        ? `<circle cx="${mark.at[0]}" cy="${mark.at[1]}" r="${mark.r}" ${look}/>`
        : `<path d="${pathOf(mark)}" ${look}/>`
    return `<g><title>${escaped(mark.part)}${mark.known ? '' : ', not measured'}</title>${shape}</g>`
  })
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="${x0 - MARGIN} ${y0 - MARGIN} ${w} ${h}" stroke-linejoin="round" stroke-linecap="round">`,
    `<title>${escaped(title)}</title>`,
    ...shapes,
    '</svg>',
  ].join('\n')
}

const scaled = (dash: string): string =>
  dash
    .split(' ')
    .map((part) => Number(part) * 3)
    .join(' ')
