import fc from 'fast-check'
import { expect, test } from 'vitest'
import { compilePart } from '../ports/index.ts'
import { checkJoint, JOINTS } from './index.ts'
import { context, port, trainPorts } from './samples.property.ts'

/*
 * Design notes, stacks: a plate and a spacer of one thickness t leave what stands between wheel and bell as it was; what is
 * held in the crank loses t, what is clear there gains t, a starter on the block moves against the ring by t.
 */
const CHANGES: Readonly<Record<string, -1 | 0 | 1>> = {
  'depth nose': -1,
  'depth tip-clear': 1,
  'depth shoulder-clear': 1,
  'depth hub-front': 0,
  'depth hub-rear': 0,
  'depth release-gap': 0,
  'depth pull-up': 0,
  'converter lugs': 0,
  'converter nose-in': -1,
  'converter nose-clear': 1,
  'crank-flange bolt-reach': -1,
}
const TRAINS = {
  manual: {},
  automatic: { ratios: { type: 'automatic', stall: 2.1 } },
  'starter on the block': { starter: { mount: 'block' } },
  'block, rearward': { starter: { mount: 'block', way: 'rearward', pinionMm: 20 } },
  'bell, rearward': { starter: { way: 'rearward', pinionMm: 20 } },
} as const
/** A starter on the bell moves with the wheel; one on the block stays: the ring comes back by t. */
const GAPS: Readonly<Record<keyof typeof TRAINS, -1 | 0 | 1>> = {
  manual: 0,
  automatic: 0,
  'bell, rearward': 0,
  'starter on the block': -1,
  'block, rearward': 1,
}

test.each(Object.keys(TRAINS) as (keyof typeof TRAINS)[])(
  '%s: a plate and a spacer of one thickness change each limit by what they are thick, or not at all',
  (name) => {
    const ports = trainPorts(TRAINS[name], 0.02)
    const values = (t: number): ReadonlyMap<string, number> => {
      const stack =
        t === 0
          ? []
          : [
              compilePart({
                id: 'stack',
                kind: 'x',
                name: 'Plate and spacer',
                ports: [
                  port('plate', { thicknessMm: t }, { pm: 0.02 }),
                  port('spacer', { thicknessMm: t }, { pm: 0.02 }),
                ],
              }),
            ]
      return new Map(
        JOINTS.filter(({ place }) => place === 'coupling').flatMap((joint) =>
          (checkJoint(joint, ports, [], context({ stack }))?.limits ?? []).flatMap(
            ({ id, value }) => (value === null ? [] : [[`${joint.id} ${id}`, value] as const]),
          ),
        ),
      )
    }
    const bare = values(0)
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 12, noNaN: true }), (t) => {
        for (const [limit, value] of values(t)) {
          const before = bare.get(limit)
          if (before === undefined || limit === 'depth starter-overlap') continue
          const way = limit === 'depth starter-gap' ? GAPS[name] : (CHANGES[limit] ?? 0)
          expect([limit, value - before]).toEqual([limit, expect.closeTo(way * t, 6)])
        }
      }),
      { numRuns: 30 },
    )
  },
)
