import type { PartKind } from '../ports/part-kinds.ts'
import type { Body } from '../train/vehicle-figure.ts'

/** A value typical of the type and how far one of them may be from it. Words have no ±. */
export type Typical = readonly [value: unknown, plusMinus?: number]

export interface TemplatePort {
  readonly kind: string
  readonly slot: string
  readonly looks?: 'forward' | 'rearward'
  readonly fields: Readonly<Record<string, Typical>>
}

/**
 * A type of engine, transmission, transfer case or vehicle: enough to plan with before anything is measured. Every value
 * is graded assumed and wide in its ±, so a template raises questions and ranges, never a purchase. What decides a
 * joint to a tenth (patterns, depths, splines) is left unknown: it has no typical value.
 *
 * Values: common practice, no published source.
 */
export interface Template {
  readonly id: string
  readonly kind: Extract<PartKind, 'engine' | 'transmission' | 'transfer-case' | 'vehicle'>
  readonly words: string
  /** What one may expect of the type, in a sentence. */
  readonly says: string
  readonly massKg: number
  readonly ports: readonly TemplatePort[]
}

const share = (value: number, part: number): Typical => [
  value,
  Math.round(value * part * 100) / 100,
]
export const TORQUE_SHARE = 0.25
export const SIZE_SHARE = 0.15

/** Torque N·m at rev/min, redline, oil L; layout; length × height × width, mm; how its cylinders stand, bore and stroke mm. */
export function engine(
  id: string,
  words: string,
  says: string,
  massKg: number,
  [nm, rpm, redline, oilL]: readonly [number, number, number, number],
  layout: 'lengthwise' | 'crosswise',
  [length, height, width]: readonly [number, number, number],
  [arrangement, count, bore, stroke]: readonly [
    'in line' | 'in a vee' | 'flat',
    number,
    number,
    number,
  ],
): Template {
  return {
    id,
    kind: 'engine',
    words,
    says,
    massKg,
    ports: [
      {
        kind: 'engine-output',
        slot: 'main',
        fields: {
          peakTorqueNm: share(nm, TORQUE_SHARE),
          peakTorqueRpm: share(rpm, 0.3),
          redlineRpm: share(redline, 0.15),
          oilL: share(oilL, 0.25),
          turns: ['counter-clockwise'],
        },
      },
      {
        kind: 'cylinders',
        slot: 'main',
        fields: {
          arrangement: [arrangement],
          count: [count],
          boreMm: share(bore, 0.1),
          strokeMm: share(stroke, 0.15),
        },
      },
      { kind: 'sump', slot: 'main', fields: { capacityL: share(oilL, 0.25) } },
      {
        kind: 'outline',
        slot: 'main',
        fields: {
          layout: [layout],
          lengthMm: share(length, SIZE_SHARE),
          heightMm: share(height, SIZE_SHARE),
          widthMm: share(width, SIZE_SHARE),
        },
      },
    ],
  }
}

/** Gears first to top; torque rating N·m at the input shaft; speed rating rev/min; bell and whole length, height, mm; stall ratio of an automatic. */
export function transmission(
  id: string,
  words: string,
  says: string,
  massKg: number,
  gears: readonly number[],
  [torqueNm, speedRpm]: readonly [number, number],
  layout: 'lengthwise' | 'crosswise',
  [bell, length, height]: readonly [number, number, number],
  more: { readonly stall?: number; readonly finalDrive?: number } = {},
): Template {
  return {
    id,
    kind: 'transmission',
    words,
    says,
    massKg,
    ports: [
      {
        kind: 'ratios',
        slot: 'main',
        fields: {
          type: [more.stall === undefined ? 'manual' : 'automatic'],
          gears: [gears, 0.3],
          turns: ['counter-clockwise'],
          ...(more.stall === undefined ? {} : { stall: share(more.stall, 0.15) }),
          ...(more.finalDrive === undefined ? {} : { finalDrive: share(more.finalDrive, 0.15) }),
        },
      },
      {
        kind: 'ratings',
        slot: 'torque',
        fields: {
          torqueNm: share(torqueNm, TORQUE_SHARE),
          reference: [more.stall === undefined ? 'input shaft' : 'turbine'],
          basis: ['nominal'],
        },
      },
      { kind: 'ratings', slot: 'speed', fields: { speedRpm: share(speedRpm, 0.15) } },
      {
        kind: 'outline',
        slot: 'main',
        fields: {
          layout: [layout],
          bellMm: share(bell, SIZE_SHARE),
          lengthMm: share(length, SIZE_SHARE),
          heightMm: share(height, SIZE_SHARE),
        },
      },
    ],
  }
}

/** Axle ratio and laden driven axle kg; tyre; layout; radiator to block face, front axle, firewall and rear axle, mm; length and height. */
export function vehicle(
  id: string,
  words: string,
  says: string,
  massKg: number,
  [ratio, ladenKg]: readonly [number, number],
  tyre: string,
  layout: 'lengthwise' | 'crosswise' | 'mid',
  [blockFace, frontAxle, firewall, rearAxle]: readonly [number, number, number, number],
  more: { readonly axleTorqueNm: number; readonly body: Body },
): Template {
  return {
    id,
    kind: 'vehicle',
    words,
    says,
    massKg,
    ports: [
      {
        kind: 'axle',
        slot: 'main',
        fields: { ratio: share(ratio, 0.2), ladenKg: share(ladenKg, 0.2) },
      },
      { kind: 'tyre', slot: 'main', fields: { marking: [tyre] } },
      {
        kind: 'ratings',
        slot: 'torque-axle',
        fields: {
          torqueNm: share(more.axleTorqueNm, TORQUE_SHARE),
          reference: ['axle'],
          basis: ['peak'],
        },
      },
      {
        kind: 'outline',
        slot: 'main',
        fields: {
          layout: [layout],
          blockFaceMm: share(blockFace, SIZE_SHARE),
          frontAxleMm: share(frontAxle, SIZE_SHARE),
          firewallMm: share(firewall, SIZE_SHARE),
          rearAxleMm: share(rearAxle, SIZE_SHARE),
          body: [more.body],
        },
      },
    ],
  }
}
