import { z } from 'zod'

export const chordsInput = z
  .strictObject({
    count: z.number().int().min(3, 'A pattern has at least three holes.').max(40),
    sense: z.enum(['clockwise', 'counter-clockwise']),
    looks: z.enum(['forward', 'rearward']),
    firstDeg: z.number().finite(),
    chords: z
      .array(
        z.strictObject({ from: z.number().int(), to: z.number().int(), mm: z.number().finite() }),
      )
      .max(400),
  })
  .meta({
    example: {
      count: 3,
      sense: 'counter-clockwise',
      looks: 'rearward',
      firstDeg: 90,
      chords: [
        { from: 1, to: 2, mm: 173.2 },
        { from: 2, to: 3, mm: 173.2 },
        { from: 1, to: 3, mm: 173.2 },
        { from: 1, to: 0, mm: 100 },
        { from: 2, to: 0, mm: 100 },
        { from: 3, to: 0, mm: 100 },
      ],
    },
  })
export const dxfInput = z.strictObject({ dxf: z.string().min(1, 'The file is empty.') })

const pixel = z.strictObject({ x: z.number().finite(), y: z.number().finite() })
const spot = z.strictObject({ centre: pixel, edge: pixel })

export const traceInput = z
  .strictObject({
    axis: pixel,
    holes: z.array(spot).max(60),
    dowels: z.array(spot).max(8),
    known: z.array(z.strictObject({ from: pixel, to: pixel, mm: z.number().finite() })).max(40),
    view: z.enum(['looking at the face', 'mirrored']),
    looks: z.enum(['forward', 'rearward']),
  })
  .meta({
    example: {
      axis: { x: 400, y: 300 },
      holes: [{ centre: { x: 700, y: 300 }, edge: { x: 716, y: 300 } }],
      dowels: [],
      known: [{ from: { x: 100, y: 580 }, to: { x: 400, y: 580 }, mm: 100 }],
      view: 'looking at the face',
      looks: 'rearward',
    },
  })

export const paperQuery = z.object({ paper: z.enum(['A4', 'A3', 'whole']).default('A4') })
export const plateQuery = paperQuery.extend({ engine: z.string(), transmission: z.string() })
