import PDFDocument from 'pdfkit'
import type { Point } from '../../core/ports/field.ts'
import { FileFault } from './file-fault.ts'
import type { PatternFace } from './pattern-dxf.ts'

export const PAPERS = { A4: [210, 297], A3: [297, 420], whole: null } as const satisfies Record<
  string,
  readonly [number, number] | null
>
export type Paper = keyof typeof PAPERS

const PT = 72 / 25.4
const MARGIN_MM = 12
/** What two sheets share, so that they can be laid over each other. */
const OVERLAP_MM = 15
const FOOT_MM = 24
const CHECK_MM = 100
const CROSS_MM = 5
const MOST_SHEETS = 40
/** The longest page the format allows is 14,400 points. */
const LONGEST_MM = 5000

export interface Template {
  readonly title: string
  readonly faces: readonly PatternFace[]
  /** True for a face that looks forward: printed turned over, so that it lies on the face printed side up. */
  readonly isMirrored: boolean
  readonly paper: Paper
}

/**
 * A template at 1:1 to lay on a face: holes with their middles, dowels, outline and the axis, on one sheet or on several that
 * overlap, each with a bar of 100 mm both ways to prove the printer by.
 *
 * @throws FileFault naming what lies far off, where it would take more sheets than anybody lays out
 */
export function patternToPdf({ title, faces, isMirrored, paper }: Template): Promise<Buffer> {
  const flip = ({ x, y }: Point): Point => ({ x: isMirrored ? -x : x, y })
  const all = faces
    .flatMap((face) => [
      ...face.holes,
      ...face.dowels,
      ...face.outline.map((point) => ({ ...point, d: 0 })),
    ])
    .map((one) => ({ ...flip(one), r: one.d / 2 }))
  const box = {
    left: Math.min(-CROSS_MM, ...all.map(({ x, r }) => x - r)) - CROSS_MM,
    right: Math.max(CROSS_MM, ...all.map(({ x, r }) => x + r)) + CROSS_MM,
    low: Math.min(-CROSS_MM, ...all.map(({ y, r }) => y - r)) - CROSS_MM,
    high: Math.max(CROSS_MM, ...all.map(({ y, r }) => y + r)) + CROSS_MM,
  }
  const [width, height] = [box.right - box.left, box.high - box.low]
  const [sheetW, sheetH] = PAPERS[paper] ?? [
    Math.max(width, CHECK_MM + 40) + 2 * MARGIN_MM,
    height + 2 * MARGIN_MM + FOOT_MM,
  ]
  const [roomW, roomH] = [sheetW - 2 * MARGIN_MM, sheetH - 2 * MARGIN_MM - FOOT_MM]
  const count = (extent: number, room: number): number =>
    extent <= room ? 1 : Math.ceil((extent - OVERLAP_MM) / (room - OVERLAP_MM))
  const [columns, rows] = [count(width, roomW), count(height, roomH)]
  if (!(columns * rows <= MOST_SHEETS) || !(Math.max(sheetW, sheetH) <= LONGEST_MM))
    throw new FileFault(
      `This template would take ${paper === 'whole' ? `a sheet of ${Math.round(sheetW)} × ${Math.round(sheetH)} mm` : `${columns * rows} sheets of ${paper}; at most ${MOST_SHEETS} are printed`}: ${farthest(faces)}. Measure that place again, or take another paper.`,
    )
  const doc = new PDFDocument({
    size: [sheetW * PT, sheetH * PT],
    margin: 0,
    autoFirstPage: false,
    info: { Title: title, Creator: 'Junket' },
  })
  const chunks: Buffer[] = []
  doc.on('data', (chunk: Buffer) => chunks.push(chunk))
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('end', () => resolve(Buffer.concat(chunks)))
    doc.on('error', reject)
  })
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      doc.addPage()
      const x0 = box.left + column * (roomW - OVERLAP_MM)
      const y0 = box.high - row * (roomH - OVERLAP_MM)
      const at = (point: Point): [number, number] => [
        (MARGIN_MM + point.x - x0) * PT,
        (MARGIN_MM + y0 - point.y) * PT,
      ]
      doc.save()
      doc.rect(MARGIN_MM * PT, MARGIN_MM * PT, roomW * PT, roomH * PT).clip()
      for (const [index, face] of faces.entries())
        drawFace(doc, face, index, (point) => at(flip(point)))
      cross(doc, at({ x: 0, y: 0 }), CROSS_MM * 2)
      doc.restore()
      foot(
        doc,
        sheetH,
        `${title}${rows * columns > 1 ? ` · sheet ${row * columns + column + 1} of ${rows * columns}: row ${row + 1}, column ${column + 1}, lay the ${OVERLAP_MM} mm over` : ''}`,
        isMirrored,
      )
    }
  doc.end()
  return done
}

/** What lies furthest from the axis, in words. */
function farthest(faces: readonly PatternFace[]): string {
  const places = faces.flatMap(({ name, holes, dowels, outline }) => [
    ...holes.map((one, i) => ({ ...one, words: `hole ${i + 1} of the ${name} face` })),
    ...dowels.map((one, i) => ({ ...one, words: `dowel ${i + 1} of the ${name} face` })),
    ...outline.map((one, i) => ({
      ...one,
      words: `point ${i + 1} of the outline of the ${name} face`,
    })),
  ])
  const far = places.reduce((worst, one) =>
    Math.hypot(one.x, one.y) > Math.hypot(worst.x, worst.y) ? one : worst,
  )
  return `${far.words} lies ${Math.round(Math.hypot(far.x, far.y))} mm from the axis`
}

type Pdf = InstanceType<typeof PDFDocument>

function cross(doc: Pdf, [x, y]: [number, number], mm: number): void {
  const half = (mm / 2) * PT
  doc
    .lineWidth(0.5)
    .moveTo(x - half, y)
    .lineTo(x + half, y)
    .moveTo(x, y - half)
    .lineTo(x, y + half)
    .stroke('#000')
}

function drawFace(
  doc: Pdf,
  face: PatternFace,
  index: number,
  at: (point: Point) => [number, number],
): void {
  doc.lineWidth(0.6)
  if (face.outline.length > 2) {
    doc.polygon(...face.outline.map(at))
    doc.dash(4, { space: 2 }).stroke('#666').undash()
  }
  if (index > 0) doc.dash(2, { space: 1.5 })
  for (const [i, hole] of face.holes.entries()) {
    const [x, y] = at(hole)
    doc.circle(x, y, (hole.d / 2) * PT).stroke('#000')
    cross(doc, [x, y], Math.max(4, hole.d * 0.6))
    doc.font('Helvetica').fontSize(7).fillColor('#000')
    doc.text(
      `${face.name} ${i + 1}${hole.thread ? `, ${hole.thread}` : `, Ø ${hole.d}`}`,
      x + (hole.d / 2 + 1) * PT,
      y - 3,
      { lineBreak: false },
    )
  }
  for (const dowel of face.dowels) {
    const [x, y] = at(dowel)
    doc.circle(x, y, (dowel.d / 2) * PT).stroke('#000')
    doc.circle(x, y, (dowel.d / 2 + 1) * PT).stroke('#000')
    cross(doc, [x, y], dowel.d)
  }
  doc.undash()
}

function foot(doc: Pdf, sheetH: number, words: string, isMirrored: boolean): void {
  const [x, y] = [MARGIN_MM * PT, (sheetH - MARGIN_MM - 6) * PT]
  doc.lineWidth(1)
  doc
    .moveTo(x, y)
    .lineTo(x + CHECK_MM * PT, y)
    .stroke('#000')
  for (let mm = 0; mm <= CHECK_MM; mm += 10)
    doc
      .moveTo(x + mm * PT, y)
      .lineTo(x + mm * PT, y - (mm % 50 === 0 ? 3 : 1.5) * PT)
      .stroke('#000')
  doc.font('Helvetica').fontSize(8).fillColor('#000')
  doc.text(
    'This bar is 100 mm: measure it before the template is trusted. Print at 100 %, not fitted to the page.',
    x,
    y + 3,
    { lineBreak: false },
  )
  doc.text(words, x, y - 14 * PT, { lineBreak: false })
  doc.text(
    `Lies on the face printed side up${isMirrored ? '; turned over on paper, because this face looks forward' : ''}. A mirrored plate is a scrapped plate.`,
    x,
    y - 10 * PT,
    { lineBreak: false },
  )
}
