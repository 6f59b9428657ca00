import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { bodyLines } from './body-side.ts'
import { as, type Corner, line, type Mark } from './mark.ts'

/** Where along the train each station of the tunnel is, and how high its roof stands, x behind the radiator, y from the crank. */
export function tunnelRoof(train: TrainFigure): readonly (readonly [number, number])[] {
  const { vehicle, gearbox, transfer, mountsMm } = train
  const above = vehicle.crankAboveMm
  if (mountsMm === null || above === null) return []
  const bellFrom = train.face.mm + train.plates.reduce((sum, { mm }) => sum + mm, 0)
  const end = bellFrom + gearbox.bell.mm + gearbox.length.mm
  const stations: readonly (readonly [number, number | null])[] = [
    [bellFrom + gearbox.bell.mm * 0.5, vehicle.tunnel.bellMm],
    [
      bellFrom + (gearbox.leverMm ?? gearbox.bell.mm + gearbox.length.mm / 2),
      vehicle.tunnel.leverMm,
    ],
    [end - 40, vehicle.tunnel.tailMm],
    [end + (transfer?.length.mm ?? 300) / 2, vehicle.tunnel.caseMm],
  ]
  // Stations are told over a straight edge across the mount pads.
  return stations.flatMap(([x, mm]) => (mm === null ? [] : [[x, above - mm] as const]))
}

/** Firewall and tunnel: what the train must clear. Dotted where nobody measured. */
export function shellSide(train: TrainFigure): readonly Mark[] {
  const { vehicle } = train
  const b = bodyLines(vehicle)
  if (vehicle.layout === 'tractor') return []
  const wall = vehicle.firewall.mm
  const top = b.roof * 0.62
  const floor = b.ground - (vehicle.body === 'truck' || vehicle.body === 'four-by-four' ? 400 : 230)
  if (vehicle.layout !== 'lengthwise')
    return as('firewall', vehicle.firewall.known, [
      line(
        'shell',
        [
          [wall, top],
          [wall, floor - 120, 120],
          [wall + 110, floor],
          [Math.max(wall + 400, b.rear - b.r - 420), floor],
        ],
        'silhouette',
      ),
    ])
  const roof = tunnelRoof(train)
  const known = roof.length > 1
  const [first, last] = known
    ? [roof[0]!, roof.at(-1)!]
    : ([
        [wall + 120, -230],
        [wall + 700, -130],
      ] as const)
  const between: readonly Corner[] = (known ? roof : [first, last]).map(
    ([x, y]): Corner => [x, y, 60],
  )
  const opening = openingOf(train)
  const end: readonly Corner[] = [
    [Math.max(last[0] + 200, b.rear - 380), last[1] + 10, 80],
    [b.rear - 160, Math.min(last[1], b.rearHub - b.r * 0.55), 80],
    [b.rear + b.r, Math.min(last[1], b.rearHub - b.r * 0.55)],
  ]
  const whole: readonly Corner[] = [...between, ...end]
  return [
    ...as('firewall', vehicle.firewall.known, [
      line(
        'shell',
        [
          [wall, top],
          [wall, first[1] - 40, 60],
          [Math.max(wall + 40, first[0]), first[1]],
        ],
        'silhouette',
      ),
    ]),
    ...as('tunnel', known, opening ? cutBy(whole, opening) : [line('shell', whole, 'silhouette')]),
  ]
}

/** The lever opening, x behind the radiator; null where not measured. */
function openingOf(train: TrainFigure): readonly [number, number] | null {
  const { vehicle, mountsMm } = train
  if (mountsMm === null || vehicle.leverOpening === null) return null
  const from = train.face.mm + mountsMm
  return [from + vehicle.leverOpening.fromMm, from + vehicle.leverOpening.toMm]
}

/** The roof with the opening left out, its edges marked. */
function cutBy(roof: readonly Corner[], [from, to]: readonly [number, number]): readonly Mark[] {
  const yAt = (x: number): number => {
    const i = roof.findIndex((corner) => corner[0] >= x)
    if (i < 1) return roof[Math.max(0, i)]![1]
    const [a, b] = [roof[i - 1]!, roof[i]!]
    return a[1] + ((x - a[0]) / (b[0] - a[0])) * (b[1] - a[1])
  }
  const [y0, y1] = [yAt(from), yAt(to)]
  const ahead: readonly Corner[] = [...roof.filter(([x]) => x < from), [from, y0]]
  const behind: readonly Corner[] = [[to, y1], ...roof.filter(([x]) => x > to)]
  return [
    ...(ahead.length > 1 ? [line('shell', ahead, 'silhouette')] : []),
    line('shell', behind, 'silhouette'),
    ...[
      [from, y0],
      [to, y1],
    ].map(([x, y]) =>
      line('shell', [
        [x!, y! - 14],
        [x!, y! + 14],
      ]),
    ),
  ]
}
