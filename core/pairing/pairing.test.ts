import { expect, test } from 'vitest'
import { DEMO_PARTS, DEMO_ROWS, demoOwned, demoTrain } from '../../demo/compiled.ts'
import { CODES } from '../joints/code.ts'
import { JOINTS, jointNamed } from '../joints/index.ts'
import { Tally } from '../joints/judging/tally.ts'
import { tolerances } from '../joints/tolerances.ts'
import { compilePart } from '../ports/index.ts'
import { insertionPlace } from './closing.ts'
import { couplingSet } from './coupling.ts'
import { gridOf } from './pair-grid.ts'
import { recordTrain, runPairing } from './pairing.ts'
import { assemble, contextOf, tallyJoint } from './train.ts'

const parts = DEMO_PARTS
const rows = DEMO_ROWS
const ctx = { tolerances: tolerances(), use: 'delivery' as const }
const train = demoTrain
const owned = demoOwned
const insertable = [...parts.values()].filter(
  (part) => insertionPlace(part) !== null && !rows.find((row) => row.id === part.id)?.ownerId,
)
const run = (engine: string, transmission: string, catalogue = insertable) =>
  runPairing(train(engine, transmission), ctx, catalogue)

test('what was built together fits at every joint of its coupling; in its own vehicle, at every joint', () => {
  const codes = (engine: string, box: string, place?: string) =>
    recordTrain(train(engine, box), ctx)
      .filter((verdict) => place === undefined || jointNamed(verdict.joint)!.place === place)
      .map((verdict) => verdict.code)
  expect(new Set(codes('hob', 'marlund-4'))).toEqual(new Set(['fits']))
  for (const [engine, box] of [
    ['hob', 'marlund-4'],
    ['wick-2', 'kessarn-5'],
    ['quill-early', 'sunagi-5'],
  ] as const)
    expect([engine, new Set(codes(engine, box, 'coupling'))]).toEqual([engine, new Set(['fits'])])
})

test('tally and record agree on every train, bare and with any part put in', () => {
  const tally = new Tally()
  for (const engine of ['hob', 'wick-1', 'wick-2', 'quill-early', 'quill-late', 'anvil'])
    for (const box of ['marlund-4', 'kessarn-5', 'sunagi-5', 'dovrek-4a'])
      for (const inserted of [[], ...insertable.map((part) => [part])]) {
        const whole = { ...train(engine, box), inserted }
        for (const verdict of recordTrain(whole, ctx)) {
          const assembly = assemble(whole)
          tallyJoint(
            JOINTS.find((joint) => joint.id === verdict.joint)!,
            assembly,
            contextOf(assembly, ctx),
            tally.reset(),
          )
          expect([
            CODES[tally.code],
            tally.stated,
            tally.known,
            tally.agreed,
            tally.outside,
          ]).toEqual([verdict.code, verdict.stated, verdict.known, verdict.agreed, verdict.outside])
        }
      }
})

test('one plate closes; the set taken is the stronger evidence, the kit without dowels is listed after it', () => {
  const result = run('wick-2', 'marlund-4')
  expect(result.closedBy.map((set) => [set.closes, ...set.parts])).toEqual([
    ['yes', 'plate-w2-12'],
    ['yes', 'plate-w2-12b'],
  ])
  expect(
    result.joints
      .filter((joint) => jointNamed(joint.joint)!.place === 'coupling')
      .map((joint) => joint.closed?.code),
  ).toEqual(Array(10).fill('fits'))
  // The plate moves the engine forward off its mounts: a bracket is its own piece, and does not undo the set.
  expect(result.joints.find((joint) => joint.joint === 'engine-mounts')!.closed).toMatchObject({
    code: 'bridge',
    pieces: ['engine-mount'],
  })
  const without = runPairing(train('wick-2', 'marlund-4'), ctx, insertable, {
    prefer: ['plate-w2-12b'],
  })
  expect(without.joints[0]!.closed).toMatchObject({
    code: 'work',
    tasks: expect.arrayContaining([expect.objectContaining({ id: 'fit-dowels' })]),
  })
})

test('a set of two is found where one part is not enough, and nothing where the catalogue has none', () => {
  expect(run('wick-1', 'marlund-4').closedBy[0]).toEqual({
    parts: ['plate-w1-16', 'spacer-4'],
    closes: 'yes',
    missing: [],
  })
  expect(run('quill-early', 'marlund-4').closedBy[0]!.parts.toSorted()).toEqual([
    'bush-15',
    'plate-q-14',
  ])
  expect(run('wick-1', 'marlund-4', []).closedBy).toEqual([])
  expect(run('wick-1', 'kessarn-5').closedBy).toEqual([])
})

test('a part that raises another joint does not close: a plate of the wrong thickness', () => {
  const thick = compilePart({
    id: 'thick',
    kind: 'plate',
    name: 'Thick',
    ports: [
      {
        id: 'thick/plate/main',
        kind: 'plate',
        slot: 'main',
        claims: { thicknessMm: [{ id: 'x', value: 30, grade: 'maker' }] },
      },
      ...parts
        .get('plate-w2-12')!
        .ports.filter((port) => port.kind === 'face')
        .map((port) => ({
          id: port.id,
          kind: 'face',
          slot: port.slot,
          looks: port.looks!,
          claims: {
            holes: [{ id: 'h', value: (port as any).holes.v, grade: 'maker' as const }],
            dowels: [{ id: 'd', value: (port as any).dowels.v, grade: 'maker' as const }],
          },
        })),
    ],
  })
  expect(run('wick-2', 'marlund-4', [thick]).closedBy).toEqual([])
})

test("given two starters the bell's is used and said so; a missing piece is unknown, never skipped", () => {
  const other = { ...parts.get('kessarn-5-starter')!, id: 'block-starter' }
  const set = couplingSet(parts.get('marlund-4')!, [other], owned('marlund-4'))
  expect(set.parts.find((part) => part.kind === 'starter')!.id).toBe('marlund-4-starter')
  expect(set.notes.join()).toMatch(/Two starters/)
  const bare = recordTrain(
    {
      ...train('hob', 'marlund-4'),
      coupling: train('hob', 'marlund-4').coupling.filter((part) => part.kind !== 'disc'),
    },
    ctx,
  )
  expect(bare.find((verdict) => verdict.joint === 'depth')).toMatchObject({ code: 'unmeasured' })
})

test('a missing length is asked of the part that owns it', () => {
  const pilot = recordTrain(train('quill-late', 'sunagi-5'), ctx).find(
    (verdict) => verdict.joint === 'pilot',
  )!
  expect(pilot.missing).toMatchObject([
    { part: 'quill-late', port: 'quill-late/pilot-bore/crank', field: 'finished' },
  ])
})

test('ranked by numbers alone, what was built together comes before strangers, and a clash after both', () => {
  const weight = (engine: string, box: string): number => {
    const { coupling, transmission, recipient, transfer = null, ...own } = train(engine, box)
    const ofEngine = coupling.filter(({ kind }) =>
      ['separator', 'flywheel', 'flexplate', 'pilot'].includes(kind),
    )
    return gridOf(
      [{ engine: own.engine, coupling: ofEngine }],
      [
        {
          transmission,
          coupling: coupling.filter((part) => !ofEngine.includes(part)),
          transfer,
          recipient,
        },
      ],
      ctx,
    ).weights[0]!
  }
  expect(weight('hob', 'marlund-4')).toBe(0)
  expect(weight('wick-2', 'marlund-4')).toBeLessThan(weight('anvil', 'marlund-4'))
  for (const [engine, box] of [
    ['wick-2', 'marlund-4'],
    ['quill-late', 'dovrek-4a'],
  ] as const) {
    const codes = recordTrain(train(engine, box), ctx).map((verdict) => verdict.code)
    const count = (code: string): number => codes.filter((one) => one === code).length
    expect(weight(engine, box)).toBe(
      count('work') + 4 * count('bridge') + 5 * count('unmeasured') + 100 * count('clash'),
    )
  }
})

test('a bridge behind the gearbox alone asks for no plate: nothing is put between what mates', () => {
  const result = run('quill-early', 'sunagi-5')
  expect(result.joints.some((joint) => joint.bare.code === 'bridge')).toBe(true)
  expect([result.closedBy, result.chosen]).toEqual([[], []])
})
