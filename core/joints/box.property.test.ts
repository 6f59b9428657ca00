import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Field, Zone } from '../ports/field.ts'
import type { AnyPort, CompiledPart } from '../ports/index.ts'
import { JOINTS } from './index.ts'
import type { Joint, JointContext } from './joint.ts'
import { type Limit, readsOf } from './judging/declaration.ts'
import { EMPTY_HALF } from './judging/half.ts'
import { instancesOf } from './judging/instances.ts'
import { blankResult, planOf } from './judging/plan.ts'
import { leavesOf, type Scene } from './judging/scene.ts'
import { appliesTo } from './judging/tally.ts'
import { compilePorts, context, port, trainPorts } from './samples.property.ts'
import { arrange } from './side.ts'

/*
 * Where a damage limit agrees, it agrees wherever the true values lie within the ± of its inputs: every corner of the
 * box up to eight inputs, else 200 random points. And where it is outside for certain, no point of the box is inside.
 */

type Changes = Parameters<typeof trainPorts>[0]
const BASES: readonly Changes[] = [
  {},
  { ratios: { type: 'automatic', stall: 2.1 } },
  { ratios: { finalDrive: 3.9 }, ratings: { reference: 'axle', torqueNm: 2200 } },
  { ratings: { reference: 'output', torqueNm: 700 } },
  { ratings: { reference: 'transfer output', torqueNm: 1500 } },
  { 'pilot-piece': { depthMm: -0.4 } },
]
const CONTEXTS: readonly JointContext[] = [
  context({ placement: 'keep', use: 'road' }),
  context({ placement: 'set-back', use: 'trail' }),
]
const stackOf = (pm: number): readonly CompiledPart[] => [
  {
    id: 's',
    kind: 'plate',
    name: 'S',
    ports: compilePorts(
      port('plate', { thicknessMm: 1 }, { pm }),
      port('spacer', { thicknessMm: 1 }, { pm }),
    ),
  },
]

/** Ratios, counts and words are known closer than lengths. */
const closer = (port: AnyPort, pm: number): AnyPort =>
  Object.fromEntries(
    Object.entries(port).map(([name, field]) => [
      name,
      field && typeof field === 'object' && field.at.words.unit === ''
        ? { ...field, pm: pm / 100 }
        : field,
    ]),
  ) as unknown as AnyPort

const scene = (changes: Changes, pm: number, ctx: JointContext, hasStack: boolean): Scene => {
  const { a, b } = arrange(
    trainPorts(changes, pm).map((port) => closer(port, pm)),
    [],
  )
  return { a, b, stack: hasStack ? stackOf(pm) : [], shop: ctx, each: null, item: null }
}

/** The same scene with some fields moved to where they might truly be: a list of zones moves at its edges and depths. */
function moved(from: Scene, by: ReadonlyMap<Field<unknown>, readonly number[]>): Scene {
  const ports = new Set([...by.keys()].map(({ at }) => at.port))
  const portOf = (one: AnyPort): AnyPort => {
    if (!ports.has(one.id)) return one
    const copy: Record<string, unknown> = { ...one }
    for (const [field, shift] of by)
      if (field.at.port === one.id) copy[field.at.field] = { ...field, v: shifted(field.v, shift) }
    return copy as unknown as AnyPort
  }
  const side = <S extends object>(one: S): S => {
    const copy = { ...one } as Record<string, unknown>
    for (const [slot, held] of Object.entries(one)) {
      if (Array.isArray(held)) copy[slot] = held.map(portOf)
      else if (ports.has((held as AnyPort).id)) copy[slot] = portOf(held as AnyPort)
    }
    return copy as S
  }
  return {
    ...from,
    a: side(from.a),
    b: side(from.b),
    stack: from.stack.map((part) => ({ ...part, ports: part.ports.map(portOf) })),
  }
}
/** Every field a limit leans on, its guards and asks among them. */
const inputsOf = (limit: Limit, from: Scene): Field<unknown>[] => {
  const { needed, sometimes } = readsOf(limit)
  return [
    ...new Set(
      instancesOf(limit, from).flatMap((instance) =>
        [...needed, ...sometimes].flatMap((read) => leavesOf(read, instance.scene)),
      ),
    ),
  ]
}
function shifted(v: unknown, by: readonly number[]): unknown {
  if (typeof v === 'number') return v + by[0]!
  if (!Array.isArray(v)) return v
  if (typeof v[0] === 'number') return v.map((one: number) => one + by[0]!)
  if (typeof v[0] === 'object' && 'fromMm' in v[0])
    return v.map((zone: Zone) => ({
      ...zone,
      fromMm: zone.fromMm + by[0]!,
      toMm: zone.toMm + by[1]!,
      depthMm: zone.depthMm + by[2]!,
      ...(zone.leftMm === undefined ? {} : { leftMm: zone.leftMm + by[3]! }),
      ...(zone.rightMm === undefined ? {} : { rightMm: zone.rightMm + by[4]! }),
    }))
  return v
}

const codes = (
  limit: Limit,
  from: Scene,
): { agreed: boolean; straddles: boolean; outside: boolean }[] => {
  const plan = planOf(limit)
  return instancesOf(limit, from).map((instance) => {
    const { agreed, straddles, outside, isStated } = plan
      .load(1, EMPTY_HALF, from.shop)
      .load(0, plan.half(instance.scene), from.shop)
      .judge(from.shop, blankResult())
    return { agreed: !isStated || agreed, straddles, outside: isStated && outside }
  })
}

const damaging = JOINTS.flatMap((joint: Joint) =>
  joint.limits
    .filter(({ damage }) => damage)
    .map((limit) => [`${joint.id} ${limit.id}`, joint, limit] as const),
)
/** A box of the pan has an edge at either end, below, and to either side. */
const EDGES = [0, 1, 2, 3, 4] as const
/** Limits that met the property, agreeing and outside. */
const proved = { agreed: new Set<string>(), outside: new Set<string>() }

describe.each(damaging)('%s', (name, joint, limit) => {
  test('agrees with its ± only where every point of the box agrees, and is outside only where none does', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...BASES),
        fc.constantFrom(...CONTEXTS),
        fc.boolean(),
        fc.constantFrom(0.02, 0.4, 3),
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 30, maxLength: 30 }),
        fc.array(
          fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 90, maxLength: 90 }),
          { minLength: 16, maxLength: 16 },
        ),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (changes, ctx, hasStack, pm, places, points, reach) => {
          const still = scene(changes, pm, ctx, hasStack)
          if (!appliesTo(joint, still)) return
          // A train somewhere about the agreeing one: each input moved at random, by more than its ±.
          const inputs = inputsOf(limit, still)
          const about = moved(
            still,
            new Map(
              inputs.map((field, i) => [
                field,
                EDGES.map((k) => places[(i + k) % 30]! * reach * 6 * pm),
              ]),
            ),
          )
          const now = inputsOf(limit, about).filter((field) => field.pm > 0)
          const judged = codes(limit, about)
          const corners =
            now.length <= 8
              ? Array.from({ length: 2 ** now.length }, (_, bits) =>
                  now.map((_field, i) => ((bits >> i) & 1 ? 1 : -1)),
                )
              : []
          const box = [
            ...corners.map((corner) => (i: number, _k: number) => corner[i]!),
            ...points.map((point) => (i: number, k: number) => point[(i * 5 + k) % 90]!),
          ]
          for (const at of box) {
            const there = codes(
              limit,
              moved(
                about,
                new Map(now.map((field, i) => [field, EDGES.map((k) => at(i, k) * field.pm)])),
              ),
            )
            judged.forEach((one, i) => {
              if (one.agreed)
                expect(
                  there[i]!.outside,
                  `${name} agrees, but not where its inputs may truly be`,
                ).toBe(false)
              if (one.outside && !one.straddles)
                expect(
                  there[i]!.outside,
                  `${name} is outside, but not where its inputs may truly be`,
                ).toBe(true)
            })
          }
          if (judged.some(({ agreed }) => agreed)) proved.agreed.add(name)
          if (judged.some(({ outside, straddles }) => outside && !straddles))
            proved.outside.add(name)
        },
      ),
      { numRuns: 40, seed: 29 },
    )
  })
})

test('every damage limit was met inside', () => {
  expect(damaging.map(([name]) => name).filter((name) => !proved.agreed.has(name))).toEqual([])
})
