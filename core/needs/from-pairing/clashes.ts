import { JOINTS, jointNamed } from '../../joints/index.ts'
import { effective } from '../../pairing/order.ts'
import type { Rule } from './rule.ts'

/** Joints whose clash has rows of its own. */
const ROWED: ReadonlySet<string> = new Set(['torque', 'rotation', 'sump-clearance'])

/** A joint that clashes stops the build until another part, another place or a person answers it. */
export const clashes: Rule = {
  id: 'clashes',
  reads: JOINTS.map((joint) => `joint:${joint.id}` as const),
  adds: ['clash'],
  run: ({ joints }) =>
    joints.flatMap(({ joint, bare, closed }) => {
      const { code, limits } = effective({ bare, closed })
      if (code !== 'clash' || ROWED.has(joint)) return []
      const title = jointNamed(joint)?.title ?? joint
      return [
        {
          kind: 'clash',
          place: joint,
          words: `${title} clashes`,
          sort: 'blocker' as const,
          stage: 'before' as const,
          why: [
            {
              rule: 'clashes',
              joint,
              words: limits.find((limit) => limit.code === 'clash')?.words ?? 'It clashes',
            },
          ],
        },
      ]
    }),
}
