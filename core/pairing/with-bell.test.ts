import fc from 'fast-check'
import { expect, test } from 'vitest'
import { demoDocument } from '../../demo/index.ts'
import { tolerances } from '../joints/tolerances.ts'
import {
  type AnyPort,
  type CompiledPart,
  compilePart,
  fieldOf,
  fieldsOf,
  isPortKind,
} from '../ports/index.ts'
import { typedPorts } from '../ports/part-kinds.ts'
import { couplingSet } from './coupling.ts'
import { PartJudge } from './judged-parts.ts'
import { recordTrain, runPairing } from './pairing.ts'
import type { Train } from './train.ts'
import { FROM_BELL, withBell } from './with-bell.ts'

const { tables } = demoDocument()
const rows = tables.part as { id: string; kind: string; name: string; ownerId?: string }[]
const ctx = { tolerances: tolerances(), use: 'delivery' as const }
type Claims = Record<
  string,
  { id: string; value: unknown; grade: 'measured'; plusMinus?: number }[]
>

/** A part of the demo with more ports, its values changed by port kind and field. */
function partOf(
  id: string,
  more: { kind: string; slot: string; looks?: 'forward' | 'rearward'; fields: object }[] = [],
  change: (kind: string, field: string, value: any) => unknown = (_kind, _field, value) => value,
): CompiledPart {
  const row = rows.find((one) => one.id === id)!
  const own = tables
    .port!.filter((port) => port.partId === id)
    .map((port) => {
      const claims: Record<string, any[]> = {}
      for (const claim of tables.claim!.filter((one) => one.portId === port.id))
        (claims[String(claim.field)] ??= []).push({
          ...claim,
          value: change(String(port.kind), String(claim.field), claim.value),
        })
      return {
        id: String(port.id),
        kind: String(port.kind),
        slot: String(port.slot),
        looks: port.looks as 'forward' | undefined,
        claims,
      }
    })
  return compilePart({ ...row, ports: [...own, ...more.map((port) => stated(id, port))] })
}
const stated = (
  id: string,
  {
    kind,
    slot,
    looks,
    fields,
  }: { kind: string; slot: string; looks?: 'forward' | 'rearward'; fields: object },
) => ({
  id: `${id}/${kind}/${slot}`,
  kind,
  slot,
  looks,
  claims: Object.fromEntries(
    Object.entries(fields).map(([field, value]) => [
      field,
      [{ id: `${id}.${kind}.${field}`, value, grade: 'measured', plusMinus: 0 }],
    ]),
  ) as Claims,
})
const ring = (deg: number, r: number) => ({
  x: Number((r * Math.cos((deg * Math.PI) / 180)).toFixed(3)),
  y: Number((r * Math.sin((deg * Math.PI) / 180)).toFixed(3)),
})
const CASE = [20, 75, 160, 215, 290, 340].map((deg) => ({ ...ring(deg, 70), d: 10.5 }))
const PINS = [40, 220].map((deg) => ({ ...ring(deg, 70), d: 10, pin: true, process: 'reamed' }))
/** What the demo says of one port of a gearbox. */
const saidOf = (box: string, kind: string): object => {
  const port = tables.port!.find((one) => one.partId === box && one.kind === kind)!
  return Object.fromEntries(
    tables.claim!.filter((one) => one.portId === port.id).map(({ field, value }) => [field, value]),
  )
}
const bellOf = (id: string, lengthMm: number | undefined, box: string, rear: object = {}) =>
  compilePart({
    id,
    kind: 'bellhousing',
    name: id,
    ports: [
      { kind: 'bell', slot: 'main', fields: lengthMm === undefined ? {} : { lengthMm } },
      { kind: 'face', slot: 'front', looks: 'forward' as const, fields: saidOf(box, 'face') },
      {
        kind: 'starter-seat',
        slot: 'bell',
        looks: 'forward' as const,
        fields: saidOf(box, 'starter-seat'),
      },
      { kind: 'sensor-seat', slot: 'main', fields: saidOf(box, 'sensor-seat') },
      {
        kind: 'face',
        slot: 'rear',
        looks: 'rearward' as const,
        fields: {
          holes: CASE.map((hole) => ({ ...hole, d: 10, thread: 'M10x1.5' })),
          dowels: PINS,
          ...rear,
        },
      },
    ].map((port) => stated(id, port)),
  })
const rounded = (value: number | null) => (value === null ? null : Math.round(value * 1e6) + 0)
const BOX = 'marlund-4'
const caseFront = {
  kind: 'face',
  slot: 'case',
  looks: 'forward' as const,
  fields: { holes: CASE, dowels: PINS.map(({ pin: _, ...pin }) => ({ ...pin, d: 10.02 })) },
}
const box = partOf(BOX, [caseFront])
const engine = partOf('hob')
const owned = (owner: string): CompiledPart[] =>
  rows.filter((row) => row.ownerId === owner).map((row) => partOf(row.id))
const trainWith = (
  transmission: CompiledPart,
  own: CompiledPart | null,
  bell: CompiledPart | null,
): Train => ({
  engine,
  transmission,
  recipient: partOf('packet'),
  ownBell: own,
  coupling: [...couplingSet(transmission, owned('hob'), owned(BOX)).parts, ...(bell ? [bell] : [])],
  inserted: [],
})

/** A part with one field of one kind of port changed. */
const changed = (part: CompiledPart, kind: string, name: string, to: (value: any) => unknown) => ({
  ...part,
  ports: part.ports.map((port): AnyPort => {
    const field = port.kind === kind ? fieldOf(port, name) : null
    return field ? ({ ...port, [name]: { ...field, v: to(field.v) } } as AnyPort) : port
  }),
})
/** The gearbox with its bearing on a slave round the shaft, on the case. */
const roundShaft = (gearbox: CompiledPart): CompiledPart =>
  changed(gearbox, 'release-gear', 'type', () => 'concentric slave')
/** A release bearing measured behind a bell longer by so much. */
const bearingMoved = (part: CompiledPart, by: number): CompiledPart =>
  changed(part, 'release-bearing', 'restMm', (value) => value + by)

test('a bearing on a fork rests where the other bell’s fork leaves it: not known until it is measured there', () => {
  const own = bellOf('own', 150, BOX)
  const depth = (bell: CompiledPart) =>
    recordTrain(trainWith(box, own, bell), ctx).find(({ joint }) => joint === 'depth')!
  const asked = depth(bellOf('other', 150, BOX)).missing.map(({ part, field }) => [part, field])
  expect(asked).toContainEqual(['other', 'restMm'])
  expect(depth(own).missing.map(({ field }) => field)).not.toContain('restMm')
})

test('every length that a gearbox tells from its bell face moves with the bell', () => {
  for (const { kind } of typedPorts('transmission')) {
    const fields = isPortKind(kind) ? fieldsOf(kind) : {}
    for (const [name, { label }] of Object.entries(fields))
      if (/from (the )?bell face/i.test(label))
        expect([kind, FROM_BELL[kind as keyof typeof FROM_BELL]]).toEqual([
          kind,
          expect.arrayContaining([name]),
        ])
  }
})

test('behind another bell a gearbox is judged as one whose lengths were taken with it', () => {
  const own = bellOf('own', 150, BOX)
  fc.assert(
    fc.property(fc.integer({ min: -40, max: 40 }), (by) => {
      const other = bellOf('other', 150 + by, BOX)
      const measured = partOf(BOX, [caseFront], (kind, field, value) =>
        FROM_BELL[kind as keyof typeof FROM_BELL]?.includes(field) ? value + by : value,
      )
      const there = recordTrain(trainWith(roundShaft(box), own, other), ctx)
      const { coupling, ...rest } = trainWith(roundShaft(measured), other, other)
      const known = recordTrain(
        { ...rest, coupling: coupling.map((part) => bearingMoved(part, by)) },
        ctx,
      )
      const limits = (verdicts: typeof there) =>
        verdicts.map(({ joint, limits }) => [
          joint,
          limits
            .filter(({ at }) => !at?.startsWith('other to'))
            .map(({ id, value, code, worstMargin }) => [
              id,
              code,
              rounded(value),
              rounded(worstMargin),
            ]),
        ])
      expect(limits(there)).toEqual(limits(known))
      // Its own changes nothing.
      const codes = (train: Train) =>
        recordTrain(train, ctx).map(({ joint, code, limits }) => [
          joint,
          code,
          limits.map(({ value }) => value),
        ])

      expect(codes(trainWith(box, own, own))).toEqual(codes(trainWith(box, null, null)))
    }),
    { numRuns: 12 },
  )
})

test('another bell is bolted to the case as block and bell are, and is judged there too', () => {
  const own = bellOf('own', 150, BOX)
  const face = (bell: CompiledPart) =>
    recordTrain(trainWith(box, own, bell), ctx).find(({ joint }) => joint === 'block-face')!
  expect(face(bellOf('other', 150, BOX)).code).toBe('fits')
  const off = CASE.map((hole) => ({ ...hole, x: hole.x + 9, d: 10, thread: 'M10x1.5' }))
  expect(face(bellOf('odd', 150, BOX, { holes: off }))).toMatchObject({ code: 'bridge' })
})

test('where the length of a bell is not known, neither are the lengths behind it, and it is what is asked for', () => {
  const own = bellOf('own', undefined, BOX)
  const moved = withBell(box, own, bellOf('other', 150, BOX))
  const shaft = moved.ports.find(({ kind }) => kind === 'input-shaft')!
  const tip = fieldOf(shaft, 'tipMm')!
  expect([tip.claim, tip.pm, tip.at.partName]).toEqual([null, Infinity, 'own'])
  expect(fieldOf(shaft, 'splines')!.claim).not.toBeNull()
})

test('a bell that joins two patterns is found by the search, in the place of the old one', () => {
  const stranger = rows.find(
    ({ id, kind }) => kind === 'transmission' && id !== BOX && !id.startsWith('marlund'),
  )!
  const own = bellOf('own', 150, stranger.id)
  const train = trainWith(
    partOf(BOX, [caseFront], (kind, field, value) =>
      kind === 'face' ? ((saidOf(stranger.id, 'face') as any)[field] ?? value) : value,
    ),
    own,
    own,
  )
  const right = bellOf('right', 150, BOX)
  const result = runPairing(train, ctx, [right, bellOf('short', 90, BOX)])
  expect(result.joints.find(({ joint }) => joint === 'block-face')!.bare.code).toBe('bridge')
  expect(result.closedBy.map(({ parts }) => parts)).toContainEqual(['right'])
  expect(result.closedBy.map(({ parts }) => parts)).not.toContainEqual(['short'])
})

test('a bell whose length makes a limit of its gearbox fail is refused; with one as long as its own the lengths fit', () => {
  const own = bellOf('own', 150, BOX)
  const train = trainWith(box, own, own)
  const judge = new PartJudge(
    train,
    ctx,
    [],
    train.coupling.map(({ id }) => id),
  )
  expect(judge.of({ part: bellOf('alike', 150, BOX) }).refused).toBeNull()
  expect(judge.of({ part: bellOf('short', 100, BOX) }).refused).toMatch(/^Depth/)
})
