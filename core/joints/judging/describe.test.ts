import fc from 'fast-check'
import { expect, test } from 'vitest'
import { checkJoint, JOINTS } from '../index.ts'
import { anyPorts, compilePorts, context } from '../samples.property.ts'
import { describeJoint } from './describe.ts'

test.each(JOINTS.map((joint) => [joint.id, joint] as const))(
  '%s says what decides it and how each field is measured',
  (_, joint) => {
    const { limits, reads, decides } = describeJoint(joint)
    expect(decides.length).toBeGreaterThan(20)
    expect(limits.length).toBeGreaterThan(0)
    for (const field of reads) expect(field.label.length > 0 && field.minutes > 0).toBe(true)
  },
)

test('whatever a joint reads of any ports, it says it reads', () => {
  const said = new Map(
    JOINTS.map((joint) => [
      joint.id,
      new Set(describeJoint(joint).reads.map(({ port, field }) => `${port}.${field}`)),
    ]),
  )
  fc.assert(
    fc.property(
      anyPorts,
      fc.constantFrom(...JOINTS),
      fc.constantFrom('keep' as const, 'set-back' as const),
      (ports, joint, placement) => {
        const read =
          checkJoint(joint, compilePorts(...ports), [], context({ placement }))?.fields ?? []
        for (const { port, field } of read)
          expect(said.get(joint.id), `${joint.id} reads ${port}.${field}`).toContain(
            `${port.split('/')[1]}.${field}`,
          )
      },
    ),
    { numRuns: 300 },
  )
})

test('damage limits are named as such', () => {
  const damaging = JOINTS.flatMap((joint) =>
    describeJoint(joint)
      .limits.filter((limit) => limit.damage)
      .map((limit) => limit.id),
  )
  expect(damaging).toEqual(
    expect.arrayContaining(['tip-clear', 'shoulder-clear', 'release-gap', 'torque', 'sump-clear']),
  )
})
