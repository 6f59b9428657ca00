import { expect, test } from 'vitest'
import { CODES } from './code.ts'
import { JOINTS, jointNamed } from './index.ts'
import { compilePorts, port } from './samples.property.ts'
import { arrange, emptySide, SLOTS, sideOf } from './side.ts'
import { TOLERANCES, tolerances } from './tolerances.ts'
import { VERDICT_WORDS } from './words.ts'

test('what looks rearward is on the engine side, forward on the gearbox side, the rest by the end that carries it', () => {
  const ports = compilePorts(
    port('face', {}, { slot: 'rear', looks: 'rearward' }),
    port('face', {}, { slot: 'front', looks: 'forward' }),
    port('engine-output', { redlineRpm: 6000 }),
    port('ratios', { type: 'manual' }),
    port('plate', { thicknessMm: 3 }),
  )
  const { a, b } = arrange(ports.slice(0, 2), ports.slice(2))
  expect([a.face.slot, b.face.slot]).toEqual(['rear', 'front'])
  expect([a.engineOutput.redlineRpm.v, b.ratios.type.v, a.plate.thicknessMm.v]).toEqual([
    6000,
    'manual',
    3,
  ])
  expect([b.engineOutput.present, a.ratios.present]).toEqual([false, false])
})

test('a side has a place for every kind a joint reads, each a stand-in until named', () => {
  const side = emptySide() as unknown as Record<string, { present: boolean }>
  for (const slot of Object.values(SLOTS))
    expect([slot, side[slot]!.present]).toEqual([slot, false])
})

test('ratings gather, other kinds take the first that is there', () => {
  const side = sideOf(
    compilePorts(
      port('ratings', { torqueNm: 1 }, { slot: 'a' }),
      port('ratings', { torqueNm: 2 }, { slot: 'b' }),
      port('ring', { widthMm: 1 }, { slot: 'a' }),
      port('ring', { widthMm: 2 }, { slot: 'b' }),
    ),
  )
  expect(side.ratings.map((rating) => rating.torqueNm.v)).toEqual([1, 2])
  expect(side.ring.widthMm.v).toBe(1)
})

test('joints are found by file name or number, and stand in order of power flow', () => {
  expect(JOINTS.map((joint) => joint.number)).toEqual(JOINTS.map((_, i) => i + 1))
  for (const joint of JOINTS)
    expect([
      jointNamed(joint.id),
      jointNamed(joint.number),
      jointNamed(String(joint.number)),
    ]).toEqual([joint, joint, joint])
  expect(jointNamed('nose')).toBeNull()
})

test('every code has its word, and no word approves anything', () => {
  expect(Object.keys(VERDICT_WORDS).toSorted()).toEqual([...CODES].toSorted())
  for (const { word, says } of Object.values(VERDICT_WORDS))
    expect(`${word} ${says}`).not.toMatch(/safe|approved|certified|guarantee/i)
})

test("tolerances are the defaults with the shop's edits over them", () => {
  const edited = tolerances({ tipClearMm: 4, nothing: 9 })
  expect([edited.tipClearMm, edited.noseEngageMm]).toEqual([4, TOLERANCES.noseEngageMm.value])
  expect(Object.keys(edited)).toEqual(Object.keys(TOLERANCES))
})
