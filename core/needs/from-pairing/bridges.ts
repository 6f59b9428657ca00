import { JOINTS, jointNamed } from '../../joints/index.ts'
import { effective } from '../../pairing/order.ts'
import { kindWords } from '../../ports/part-kinds.ts'
import { placeOf } from '../lines/place-of.ts'
import type { NewNeed } from '../need.ts'
import type { Rule } from './rule.ts'

/**
 * Pieces that close a pairing, each raised by the bare joints that bridged; a bridge that nothing closes raises its
 * piece from the bare run, open. Which piece cures which joint is read off the joint's own limits.
 */
export const bridges: Rule = {
  id: 'bridges',
  reads: ['insert.parts', 'insert.kinds', ...JOINTS.map((joint) => `joint:${joint.id}` as const)],
  adds: [
    'plate',
    'spacer',
    'flywheel',
    'flexplate',
    'pilot',
    'separator',
    'starter',
    'disc',
    'release-bearing',
    'converter',
    'engine-mount',
    'gearbox-mount',
    'sump',
  ],
  run: ({ facts, joints }) => {
    const parts = facts.text('insert.parts')?.split(' ').filter(Boolean) ?? []
    const kinds = facts.text('insert.kinds')?.split(' ').filter(Boolean) ?? []
    const bridged = joints.filter(({ bare }) =>
      bare.limits.some((limit) => limit.code === 'bridge'),
    )
    const needs: NewNeed[] = parts.map((part, i) => {
      const kind = kinds[i] ?? 'plate'
      const by = bridged.filter(({ bare }) =>
        bare.limits.some((limit) => limit.code === 'bridge' && limit.pieces.includes(kind)),
      )
      return {
        kind,
        place: placeOf(kind),
        words: kindWords(kind),
        wants: part,
        why: (by.length > 0 ? by : bridged).map(({ joint, bare }) => ({
          rule: 'bridges',
          joint,
          words: `${jointNamed(joint)?.title ?? joint}: ${firstBridge(bare.limits)}`,
        })),
      }
    })
    for (const { joint, bare, closed } of joints) {
      const still = effective({ bare, closed }).limits.filter((limit) => limit.code === 'bridge')
      for (const limit of still) {
        const piece = limit.pieces[0]
        if (piece === undefined) continue
        needs.push({
          kind: piece,
          place: placeOf(piece),
          words: kindWords(piece),
          why: [
            {
              rule: 'bridges',
              joint,
              words: `${jointNamed(joint)?.title ?? joint}: ${limit.words}. Nothing in the catalogue closes it: to be made or found`,
            },
          ],
        })
      }
    }
    return needs
  },
}

const firstBridge = (limits: readonly { code: string; words: string }[]): string =>
  limits.find((limit) => limit.code === 'bridge')?.words ?? ''
