import { expect, test } from 'vitest'
import { insertionPlace } from '../pairing/closing.ts'
import { JOINTS } from './index.ts'
import { isUnproved, stepsOf } from './judging/declaration.ts'

test.each(JOINTS.map((joint) => [joint.id, joint] as const))(
  '%s says where each piece that cures it goes, and names no other',
  (_, joint) => {
    const pieces = joint.limits.flatMap(({ below, above, otherwise }) =>
      [below, above, otherwise].flatMap((step) =>
        stepsOf(step).flatMap(({ becomes }) => (isUnproved(becomes) ? [] : (becomes.pieces ?? []))),
      ),
    )
    expect([...new Set(pieces)].sort()).toEqual(Object.keys(joint.cures).sort())
  },
)

test('a piece goes to one place whatever joint asks for it, the one where closing sets put it', () => {
  const places = new Map<string, Set<string>>()
  for (const { cures } of JOINTS)
    for (const [piece, at] of Object.entries(cures))
      places.set(piece, (places.get(piece) ?? new Set()).add(at))
  for (const [piece, at] of places) expect([piece, [...at]]).toEqual([piece, [...at].slice(0, 1)])
  const placeOf = (kind: string, ports: string[]): string | null =>
    insertionPlace({
      id: 'x',
      kind,
      name: 'X',
      ports: ports.map((port) => ({ kind: port }) as never),
    })
  expect([
    placeOf('plate', ['plate', 'face']),
    placeOf('spacer', ['spacer']),
    placeOf('flywheel', ['flywheel']),
    placeOf('pilot', ['pilot-piece']),
  ]).toEqual(
    (['plate', 'spacer', 'flywheel', 'pilot'] as const).map((piece) => [...places.get(piece)!][0]),
  )
})
