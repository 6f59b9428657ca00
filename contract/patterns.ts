import { z } from 'zod'

export const chordsInput = z
  .strictObject({
    count: z.number().int().min(3, 'A pattern has at least three holes.').max(40),
    sense: z.enum(['clockwise', 'counter-clockwise']),
    looks: z.enum(['forward', 'rearward']),
    firstDeg: z.number().finite(),
    chords: z.array(z.strictObject({ from: z.number().int(), to: z.number().int(), mm: z.number().finite() })).max(400),
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
export const dxfInput = z.strictObject({ dxf: z.string().min(1, 'The file is empty.').max(10_000_000) })
