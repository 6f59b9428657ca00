import { loadedRadius } from '../mechanics/tyre.ts'
import type { Zone } from '../ports/field.ts'
import { type CompiledPart, portOf } from '../ports/index.ts'
import { mmOf, type Size, sizeOf, wordOf } from './size.ts'

export const LAYOUTS = ['lengthwise', 'crosswise', 'mid', 'rear', 'tractor'] as const
export type Layout = (typeof LAYOUTS)[number]
export const BODIES = [
  'saloon',
  'coupe',
  'roadster',
  'van',
  'truck',
  'four-by-four',
  'tractor',
] as const
export type Body = (typeof BODIES)[number]

/** What a vehicle is drawn from: mm behind the radiator, above the ground or across, as each says. */
export interface VehicleFigure {
  readonly layout: Layout
  readonly body: Body
  readonly isBody: boolean
  readonly isFourDriven: boolean
  /** Block face behind the radiator as it was with its own train. */
  readonly blockFace: Size
  /** Engine mounts behind the radiator; null where not measured. */
  readonly mountsMm: number | null
  readonly frontAxle: Size
  readonly firewall: Size
  readonly rearAxle: Size
  readonly track: Size
  readonly nose: Size
  readonly tail: Size
  /** Roof and crank axis above the ground. */
  readonly roof: Size
  readonly crank: Size
  readonly core: Size
  /** Loaded radius of the driven tyre, and of a front one. */
  readonly tyre: Size
  readonly frontTyre: Size
  /** Its engine mounts: the crank above them. Null where not measured. */
  readonly crankAboveMm: number | null
  /** Behind the engine mounts and below their plane. */
  readonly crossmember: { readonly alongMm: number; readonly belowMm: number } | null
  readonly leverOpening: { readonly fromMm: number; readonly toMm: number } | null
  readonly pinion: {
    readonly along: Size
    readonly belowMm: number
    readonly noseUpDeg: number
  } | null
  /** Roof of the tunnel above the plane of the mounts, by station. */
  readonly tunnel: {
    readonly bellMm: number | null
    readonly leverMm: number | null
    readonly tailMm: number | null
    readonly caseMm: number | null
  }
  /** What passes under the engine, from the engine mounts and their plane. */
  readonly under: readonly Zone[]
  /** Bonnet above the crank axis. */
  readonly bonnetMm: number | null
  /** Crank axis to the steering shaft. */
  readonly columnMm: number | null
}

/** Where nobody measured, mm (common practice, no published source). */
const STAND_IN: Readonly<
  Record<Layout, Readonly<Record<'face' | 'front' | 'wall' | 'rear', number>>>
> = {
  lengthwise: { face: 690, front: 330, wall: 815, rear: 2700 },
  crosswise: { face: 560, front: 748, wall: 1130, rear: 3280 },
  mid: { face: 1900, front: 480, wall: 1500, rear: 2950 },
  rear: { face: 2900, front: 480, wall: 1000, rear: 2850 },
  tractor: { face: 860, front: 150, wall: 1080, rear: 2240 },
}
const ROOF: Readonly<Record<Body, number>> = {
  saloon: 1420,
  coupe: 1300,
  roadster: 1230,
  van: 1960,
  truck: 1750,
  'four-by-four': 1860,
  tractor: 1500,
}
const TAIL: Readonly<Record<Body, number>> = {
  saloon: 950,
  coupe: 800,
  roadster: 700,
  van: 745,
  truck: 850,
  'four-by-four': 650,
  tractor: 600,
}
const BODY_OF: Readonly<Record<Layout, Body>> = {
  lengthwise: 'saloon',
  crosswise: 'saloon',
  mid: 'coupe',
  rear: 'saloon',
  tractor: 'tractor',
}
const TYRE_MM = 305
const ROLLING = 0.97

/** What a vehicle is drawn from; a vehicle nobody named is a stand-in throughout. */
export function vehicleFigure(part: CompiledPart | null): VehicleFigure {
  const outline = portOf(part, 'outline')
  const traits = portOf(part, 'vehicle-traits')
  const pads = portOf(part, 'chassis-pads')
  const crossmember = portOf(part, 'crossmember')
  const opening = portOf(part, 'lever-opening')
  const pinion = portOf(part, 'pinion')
  const tunnel = portOf(part, 'tunnel')
  const tyre = portOf(part, 'tyre')
  const layout = wordOf(
    traits.layout.v === null ? outline.layout : traits.layout,
    LAYOUTS,
    'lengthwise',
  )
  const body = wordOf(outline.body, BODIES, BODY_OF[layout])
  const at = STAND_IN[layout]
  const radius = Number.isNaN(tyre.loadedMm.v)
    ? loadedRadius(tyre.marking.v, ROLLING).mm
    : tyre.loadedMm.v
  const rolling: Size = Number.isNaN(radius)
    ? { mm: layout === 'tractor' ? 740 : TYRE_MM, known: false }
    : { mm: radius, known: true }
  const frontTyre = mmOf(outline.frontTyreMm)
  return {
    layout,
    body,
    isBody: outline.body.grade > 0,
    isFourDriven: traits.driven.v === 'four',
    blockFace: sizeOf(outline.blockFaceMm, at.face),
    mountsMm: mmOf(outline.mountsMm),
    frontAxle: sizeOf(outline.frontAxleMm, at.front),
    firewall: sizeOf(outline.firewallMm, at.wall),
    rearAxle: sizeOf(outline.rearAxleMm, at.rear),
    track: sizeOf(outline.widthMm, 1650),
    nose: sizeOf(outline.noseMm, layout === 'tractor' ? 60 : 200),
    tail: sizeOf(outline.tailMm, TAIL[body]),
    roof: sizeOf(outline.roofMm, ROOF[body]),
    crank: sizeOf(outline.crankMm, layout === 'tractor' ? 620 : rolling.mm + 62),
    core: sizeOf(outline.coreMm, layout === 'tractor' ? 520 : 420),
    tyre: rolling,
    frontTyre: {
      mm: frontTyre === null ? (layout === 'tractor' ? 390 : rolling.mm) : frontTyre / 2,
      known: frontTyre !== null || (rolling.known && layout !== 'tractor'),
    },
    crankAboveMm: mmOf(pads.crankAboveMm),
    crossmember:
      mmOf(crossmember.alongMm) === null || mmOf(crossmember.belowMm) === null
        ? null
        : { alongMm: crossmember.alongMm.v, belowMm: crossmember.belowMm.v },
    leverOpening:
      mmOf(opening.fromMm) === null || mmOf(opening.toMm) === null
        ? null
        : { fromMm: opening.fromMm.v, toMm: opening.toMm.v },
    pinion:
      mmOf(pinion.alongMm) === null
        ? null
        : {
            along: sizeOf(pinion.alongMm, 0),
            belowMm: mmOf(pinion.belowMm) ?? 0,
            noseUpDeg: mmOf(pinion.noseUpDeg) ?? 0,
          },
    tunnel: {
      bellMm: mmOf(tunnel.bellMm),
      leverMm: mmOf(tunnel.leverMm),
      tailMm: mmOf(tunnel.tailMm),
      caseMm: mmOf(tunnel.caseMm),
    },
    under: portOf(part, 'under-engine').zones.v ?? [],
    bonnetMm: mmOf(portOf(part, 'bay').heightMm),
    columnMm: mmOf(portOf(part, 'bay').columnMm),
  }
}
