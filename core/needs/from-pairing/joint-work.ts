import { JOINTS, jointNamed } from '../../joints/index.ts'
import { effective } from '../../pairing/order.ts'
import type { Rule } from './rule.ts'

/** Hours of a task seldom come out less, and double for a first-timer (common practice). */
const FIRST_TIMER = 2

/** Tasks that joints ask for, from the run that will be built. */
export const jointWork: Rule = {
  id: 'joint-work',
  reads: JOINTS.map((joint) => `joint:${joint.id}` as const),
  adds: ['work'],
  run: ({ joints }) =>
    joints.flatMap(({ joint, bare, closed }) =>
      effective({ bare, closed }).tasks.map((task) => ({
        kind: 'work',
        place: joint,
        sort: 'task' as const,
        hours: [task.hours, task.hours, task.hours * FIRST_TIMER] as const,
        slot: task.id,
        words: task.words,
        task,
        waits: 'nothing' as const,
        ...(task.skills.includes('weld') ? { work: ['weld' as const] } : {}),
        why: [
          {
            rule: 'joint-work',
            joint,
            words: `${jointNamed(joint)?.title ?? joint} mates with this work${task.reversible ? '' : '; it cannot be undone'}`,
          },
        ],
        cautions: task.caution ? [task.caution] : [],
      })),
    ),
}
