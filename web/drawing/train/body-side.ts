import type { VehicleFigure } from '../../../core/train/vehicle-figure.ts'
import { as, box, type Corner, disc, from, line, type Mark, outline, steps } from './mark.ts'
import { wheelSide } from './running-gear.ts'

/** Heights and places of a body from the side: x behind the radiator, y down from the crank axis. */
export interface BodyLines {
  readonly nose: number
  readonly tail: number
  readonly ground: number
  readonly roof: number
  readonly front: number
  readonly rear: number
  readonly wall: number
  /** Wheel centres. */
  readonly frontHub: number
  readonly rearHub: number
  readonly r: number
  readonly frontR: number
}

/** The lines of a vehicle's body. */
export function bodyLines(v: VehicleFigure): BodyLines {
  const ground = v.crank.mm
  return {
    nose: -v.nose.mm,
    tail: v.rearAxle.mm + v.tail.mm,
    ground,
    roof: ground - v.roof.mm,
    front: v.frontAxle.mm,
    rear: v.rearAxle.mm,
    wall: v.firewall.mm,
    frontHub: ground - v.frontTyre.mm,
    rearHub: ground - v.tyre.mm,
    r: v.tyre.mm,
    frontR: v.frontTyre.mm,
  }
}

/** The vehicle from its left, faint, behind its train: body by kind, wheels, ground. */
export function bodySide(v: VehicleFigure): readonly Mark[] {
  const b = bodyLines(v)
  const lengths = v.frontAxle.known && v.rearAxle.known
  return [
    ...as('body', v.isBody, SHAPES[v.body](b, v)),
    ...wheelSide(b.front, b.frontHub, b.frontR, lengths && v.frontTyre.known),
    ...wheelSide(b.rear, b.rearHub, b.r, lengths && v.tyre.known),
    ...as('ground', true, [
      line(
        'behind',
        [
          [b.nose - 80, b.ground],
          [b.tail + 80, b.ground],
        ],
        'silhouette',
      ),
    ]),
  ]
}

/** The lower edge from nose to tail, with its wheel arches. */
function sill(b: BodyLines, height: number): readonly Corner[] {
  const arch = (x: number, hub: number, r: number): readonly Corner[] => [
    [x - r * 1.22, height],
    [x - r * 1.05, hub - r * 0.75, 90],
    [x - r * 0.5, hub - r * 1.16, 110],
    [x + r * 0.5, hub - r * 1.16, 110],
    [x + r * 1.05, hub - r * 0.75, 90],
    [x + r * 1.22, height],
  ]
  return [...arch(b.front, b.frontHub, b.frontR), ...arch(b.rear, b.rearHub, b.r)]
}

/** One closed body: over the roof from nose to tail, back along the sill. */
const shell = (over: readonly Corner[], b: BodyLines, height: number): Mark =>
  outline('behind', [...over, ...sill(b, height).toReversed()], 'silhouette')

const seat = (x: number, y: number): Mark =>
  outline(
    'behind-far',
    [
      [x, y, 30],
      [x + 340, y + 20, 30],
      [x + 440, y - 450, 40],
      [x + 360, y - 466, 40],
      [x + 240, y - 80, 40],
      [x, y - 90, 30],
    ],
    'casting',
  )

/** Steering wheel and column, from where the firewall stands. */
const steering = (x: number, y: number): readonly Mark[] => [
  line('behind', [
    [x + 180, y - 150],
    [x, y + 140],
  ]),
  outline('behind', [
    [x + 10, y - 270, 12],
    [x + 350, y - 50, 12],
    [x + 342, y - 32, 12],
    [x + 2, y - 252, 12],
  ]),
]

const lamp = (x: number, y: number, r: number): readonly Mark[] => [
  disc('behind-far', x, y, r),
  disc('behind-far', x, y, r * 0.78),
]

type Draw = (b: BodyLines, v: VehicleFigure) => readonly Mark[]

/** Top of bonnet at the firewall: measured where it was, else by the body's height. */
const bonnetAt = (b: BodyLines, v: VehicleFigure, share: number): number =>
  v.bonnetMm === null ? b.roof * share : -v.bonnetMm

/** A body with bonnet, cabin and boot; how steep and how long the cabin is says which. */
const threeBox =
  ({ wall, back, boot, deck }: Readonly<Record<'wall' | 'back' | 'boot' | 'deck', number>>): Draw =>
  (b, v) => {
    const isBehind = v.layout === 'mid' || v.layout === 'rear'
    const screen = isBehind ? b.front + 330 : b.wall
    const bonnet = isBehind ? b.roof * 0.5 : bonnetAt(b, v, deck)
    const low = b.ground - 210
    const roofEnd = b.rear + back
    const waist = bonnet * 0.98
    return [
      shell(
        [
          [b.nose + 16, low, 30],
          [b.nose, low - 90, 40],
          [b.nose + 14, bonnet * 0.62, 60],
          [b.nose + 190, bonnet * 0.86, 90],
          [screen - 30, bonnet, 30],
          [screen + wall, b.roof + 20, 90],
          [screen + wall + 160, b.roof, 200],
          [roofEnd, b.roof + 10, 160],
          [b.rear + boot, waist - 10, 70],
          [b.tail - 60, waist + 16, 60],
          [b.tail, bonnet * 0.5, 50],
          [b.tail - 14, low, 40],
        ],
        b,
        low,
      ),
      ...from('casting', [
        outline('behind-far', [
          [screen + 90, waist - 6, 20],
          [screen + wall + 60, b.roof + 56, 60],
          [roofEnd - 20, b.roof + 56, 60],
          [b.rear + boot - 110, waist - 6, 30],
        ]),
        line('behind-far', [
          [screen + 60, waist],
          [screen + 64, low],
        ]),
        line('behind-far', [
          [screen + wall + 620, b.roof + 56],
          [screen + wall + 600, low],
        ]),
        seat(screen + 330, b.ground - 400),
        ...steering(screen + 130, waist + 150),
        ...lamp(b.nose + 80, bonnet * 0.5, 56),
        line('behind', [
          [b.nose - 26, low - 60, 10],
          [b.nose - 30, low - 20, 10],
          [b.nose + 20, low - 20],
        ]),
      ]),
    ]
  }

const saloon = threeBox({ wall: 420, back: -260, boot: 180, deck: 0.55 })
const coupe = threeBox({ wall: 470, back: -420, boot: 260, deck: 0.52 })

/** Open: the screen stands alone before the seats. */
const roadster: Draw = (b, v) => {
  const bonnet = bonnetAt(b, v, 0.62)
  const low = b.ground - 200
  return [
    shell(
      [
        [b.nose + 16, low, 30],
        [b.nose, low - 80, 40],
        [b.nose + 30, bonnet * 0.6, 70],
        [b.nose + 260, bonnet * 0.9, 120],
        [b.wall - 30, bonnet, 60],
        [b.wall + 320, bonnet + 20, 60],
        [b.wall + 420, bonnet + 60, 60],
        [b.wall + 900, bonnet + 60, 60],
        [b.rear - 160, bonnet, 120],
        [b.tail - 60, bonnet * 0.82, 120],
        [b.tail, low - 60, 60],
        [b.tail - 20, low, 30],
      ],
      b,
      low,
    ),
    ...from('casting', [
      line('behind', [
        [b.wall + 40, bonnet],
        [b.wall + 250, b.roof, 20],
        [b.wall + 270, b.roof + 10],
      ]),
      seat(b.wall + 520, b.ground - 330),
      ...steering(b.wall + 200, bonnet + 130),
      ...lamp(b.nose + 90, bonnet * 0.62, 54),
    ]),
  ]
}

/** A tall box behind a short bonnet. */
const van: Draw = (b, v) => {
  const bonnet = bonnetAt(b, v, 0.42)
  const low = b.ground - 190
  return [
    shell(
      [
        [b.nose + 20, low, 20],
        [b.nose - 10, low - 110, 40],
        [b.nose + 10, bonnet * 0.62, 60],
        [b.nose + 130, bonnet * 0.82, 60],
        [b.wall - 80, bonnet, 40],
        [b.wall + 240, b.roof + 60, 60],
        [b.wall + 380, b.roof, 80],
        [b.tail, b.roof, 50],
        [b.tail, low, 10],
      ],
      b,
      low,
    ),
    ...from('casting', [
      outline('behind-far', [
        [b.wall + 130, bonnet - 10, 20],
        [b.wall + 330, b.roof + 90, 40],
        [b.wall + 960, b.roof + 90, 20],
        [b.wall + 960, bonnet - 10, 20],
      ]),
      line('behind-far', [
        [b.wall + 110, bonnet],
        [b.wall + 112, low - 30, 30],
        [b.wall + 160, low],
      ]),
      line('behind-far', [
        [b.wall + 1030, b.roof],
        [b.wall + 1030, low],
      ]),
      box('behind-far', b.wall + 1150, b.roof + 110, b.rear + 300, bonnet - 20, 20),
      seat(b.wall + 540, b.ground - 520),
      ...steering(b.wall + 140, bonnet + 10),
      ...lamp(b.nose + 76, bonnet * 0.5, 62),
    ]),
  ]
}

/** Springs of a live axle, faint. */
const leaf = (x: number, y: number): readonly Mark[] =>
  steps(0, 2, 1).map((i) =>
    line('behind-far', [
      [x - 620 * (1 - i * 0.26), y - 40 + i * 16],
      [x, y + 10 + i * 4, 400],
      [x + 620 * (1 - i * 0.26), y - 40 + i * 16],
    ]),
  )

/** Cab and bed on a ladder frame. */
const truck: Draw = (b, v) => {
  const bonnet = bonnetAt(b, v, 0.6)
  const low = b.ground - 330
  const cab = Math.min(b.wall + 1500, b.rear - b.r - 180)
  const bed = bonnet * 0.72
  return [
    shell(
      [
        [b.nose, low, 10],
        [b.nose, bonnet * 0.6],
        [b.nose + 16, bonnet * 0.84, 40],
        [b.nose + 110, bonnet * 0.9, 40],
        [b.wall - 60, bonnet, 30],
        [b.wall + 200, b.roof + 40, 60],
        [b.wall + 300, b.roof, 60],
        [cab, b.roof, 60],
        [cab + 40, bed],
        [cab + 60, bed],
        [b.tail, bed, 6],
        [b.tail, low],
      ],
      b,
      low,
    ),
    ...from('casting', [
      line('behind-far', [
        [cab + 50, bed],
        [cab + 50, low],
      ]),
      outline('behind-far', [
        [b.wall + 110, bonnet - 10, 20],
        [b.wall + 270, b.roof + 70, 40],
        [cab - 50, b.roof + 70, 30],
        [cab - 30, bonnet - 10, 20],
      ]),
      line('behind-far', [
        [b.wall + 90, bonnet],
        [b.wall + 90, low - 30, 30],
        [b.wall + 150, low],
      ]),
      line('behind-far', [
        [b.wall + 830, b.roof + 70],
        [b.wall + 830, low],
      ]),
      seat(b.wall + 470, b.ground - 720),
      ...steering(b.wall + 130, bonnet + 130),
      ...leaf(b.rear, b.rearHub),
      ...leaf(b.front, b.frontHub),
      line('behind-far', [
        [b.nose, low + 40],
        [b.front + 600, low + 40, 40],
        [b.rear - 560, low + 90, 40],
        [b.rear - 300, low - 30, 60],
        [b.rear + 320, low - 30, 60],
        [b.tail - 30, low + 60],
      ]),
      box('behind-far', b.nose + 6, bonnet * 0.76, b.nose + 76, bonnet * 0.5, 10),
    ]),
  ]
}

/** Upright, its tail straight down behind the rear wheels. */
const fourByFour: Draw = (b, v) => {
  const bonnet = bonnetAt(b, v, 0.55)
  const low = b.ground - 330
  return [
    shell(
      [
        [b.nose, low, 10],
        [b.nose, bonnet * 0.86, 30],
        [b.wall - 40, bonnet, 20],
        [b.wall + 130, b.roof + 30, 40],
        [b.wall + 210, b.roof, 50],
        [b.tail - 20, b.roof, 60],
        [b.tail, bonnet, 20],
        [b.tail, low],
      ],
      b,
      low,
    ),
    ...from('casting', [
      outline('behind-far', [
        [b.wall + 90, bonnet - 10, 20],
        [b.wall + 190, b.roof + 60, 30],
        [b.wall + 900, b.roof + 60, 20],
        [b.wall + 900, bonnet - 10, 20],
      ]),
      outline('behind-far', [
        [b.wall + 960, bonnet - 10, 20],
        [b.wall + 960, b.roof + 60, 20],
        [b.tail - 90, b.roof + 60, 30],
        [b.tail - 70, bonnet - 10, 20],
      ]),
      line('behind-far', [
        [b.wall + 930, b.roof + 40],
        [b.wall + 930, low],
      ]),
      seat(b.wall + 420, b.ground - 680),
      ...steering(b.wall + 100, bonnet + 120),
      ...leaf(b.rear, b.rearHub),
      ...leaf(b.front, b.frontHub),
      ...lamp(b.nose + 60, bonnet * 0.6, 60),
      disc('behind-far', b.tail + 70, bonnet + 120, 60),
    ]),
  ]
}

/** Bonnet over the engine, seat and bars between the great wheels. */
const tractor: Draw = (b, v) => {
  const bonnet = bonnetAt(b, v, 0.72)
  const fender = b.rearHub - b.r * 1.12
  return [
    outline(
      'behind',
      [
        [b.nose, b.ground - 540],
        [b.nose + 4, bonnet * 0.8, 50],
        [b.nose + 80, bonnet * 0.88, 40],
        [b.wall - 40, bonnet, 40],
        [b.wall, bonnet * 0.9],
        [b.wall, bonnet * 0.5],
      ],
      'silhouette',
    ),
    ...from('casting', [
      ...steps(0, 8, 1).map((i) =>
        line('behind-far', [
          [b.nose + 6, bonnet * 0.72 + i * 44],
          [b.nose + 44, bonnet * 0.72 + i * 44],
        ]),
      ),
      line('behind', [
        [b.rear - b.r * 0.95, fender + b.r * 0.42],
        [b.rear - b.r * 0.4, fender + 20, 200],
        [b.rear + b.r * 0.3, fender, 200],
        [b.rear + b.r * 0.75, fender + b.r * 0.32],
      ]),
      seat(b.rear - 330, fender + 80),
      ...steering(b.wall + 240, bonnet + 110),
      line('behind', [
        [b.wall - 420, bonnet * 0.96],
        [b.wall - 420, bonnet - 300, 30],
        [b.wall - 380, bonnet - 340],
      ]),
      ...steps(0, 35, 1).map((i) => {
        const a = (i * Math.PI) / 18
        return line('behind-far', [
          [b.rear + b.r * 0.88 * Math.cos(a), b.rearHub + b.r * 0.88 * Math.sin(a)],
          [b.rear + b.r * Math.cos(a + 0.12), b.rearHub + b.r * Math.sin(a + 0.12)],
        ])
      }),
    ]),
  ]
}

const SHAPES: Readonly<Record<VehicleFigure['body'], Draw>> = {
  saloon,
  coupe,
  roadster,
  van,
  truck,
  'four-by-four': fourByFour,
  tractor,
}
