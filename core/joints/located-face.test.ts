import fc from 'fast-check'
import { expect, test } from 'vitest'
import { headFlatsMm } from '../fasteners/head.ts'
import type { Dowel, Hole } from '../ports/field.ts'
import { checkJoint, jointNamed } from './index.ts'
import { compilePorts, context, port, trainPorts } from './samples.property.ts'
import { matchPatterns } from './search/correspondence.ts'

const at = (r: number, deg: number) => ({
  x: Number((r * Math.cos((deg * Math.PI) / 180)).toFixed(4)),
  y: Number((r * Math.sin((deg * Math.PI) / 180)).toFixed(4)),
})
const RING = [8, 71, 117, 156, 214, 250, 290, 330] as const
const tapped = (thread = 'M8x1.25', d = 8): Hole[] =>
  RING.map((deg, i) => ({ ...at(120 + 4 * (i % 3), deg), d, thread }))
const plain = (d = 8.6): Hole[] => RING.map((deg, i) => ({ ...at(120 + 4 * (i % 3), deg), d }))
const pins: Dowel[] = [
  { ...at(110, 20), d: 8, pin: true, process: 'reamed' },
  { ...at(110, 200), d: 8, pin: true, process: 'reamed' },
]
const bores: Dowel[] = pins.map(({ pin: _, ...dowel }) => ({ ...dowel, d: 8.02 }))

/** The two joints whose faces are judged alike, with the name each gives its limits. */
const JOINTS = [
  ['block-face', { bolts: 'bolts', dowels: 'dowels', axis: 'axis-offset', seat: 'register-fit' }],
  [
    'transfer-case',
    { bolts: 'case-face', dowels: 'case-dowels', axis: 'case-axis', seat: 'case-register-fit' },
  ],
] as const
const meet = (joint: string, a: object, b: object, pm = 0.02) =>
  checkJoint(
    jointNamed(joint)!,
    [
      ...trainPorts({}, 0).filter(({ kind }) => kind !== 'face'),
      ...compilePorts(
        port('face', { ...a }, { slot: 'rear', looks: 'rearward', pm }),
        port('face', { ...b }, { slot: 'front', looks: 'forward', pm }),
      ),
    ],
    [],
    context(),
  )!

test.each(JOINTS)(
  '%s: dowels locate, and the axis is judged apart from the bolts',
  (joint, ids) => {
    const limits = (b: object) => {
      const verdict = meet(joint, { holes: tapped(), dowels: pins }, b)
      return (id: keyof typeof ids) => verdict.limits.find((one) => one.id === ids[id])
    }
    const own = limits({ holes: plain(), dowels: bores })
    expect([own('bolts')?.code, own('dowels')?.code, own('axis')?.code]).toEqual(
      Array(3).fill('fits'),
    )
    // From an independent reading: a transfer case 3 mm off its axis mated.
    const moved = <T extends { x: number }>(list: readonly T[]): T[] =>
      list.map((one) => ({ ...one, x: one.x + 3 }))
    expect(limits({ holes: moved(plain()), dowels: moved(bores) })('axis')).toMatchObject({
      code: 'bridge',
      value: expect.closeTo(3, 6),
    })
  },
)

test.each(JOINTS)(
  '%s: a register locates in the stead of dowels, within its clearance',
  (joint, ids) => {
    const spigot = { registerKind: 'male', registerMm: 100 }
    const bore = (registerMm: number) => ({ registerKind: 'female', registerMm })
    const run = (a: object, b: object) => {
      const verdict = meet(
        joint,
        { holes: tapped(), dowels: [], ...a },
        { holes: plain(), dowels: [], ...b },
      )
      const code = (id: string) => verdict.limits.find((one) => one.id === id)?.code
      return {
        dowels: code(ids.dowels),
        axis: verdict.limits.find((one) => one.id === ids.axis)!,
        seat: code(ids.seat),
        seatBy: verdict.limits.find((one) => one.id === ids.seat)?.plusMinus,
        kinds: code(joint === 'block-face' ? 'register-kinds' : 'case-register-kinds'),
      }
    }
    expect(run({}, {})).toMatchObject({ dowels: 'work', kinds: undefined })
    const good = run(spigot, bore(100.04))
    expect(good).toMatchObject({ dowels: 'fits', seat: 'fits', kinds: 'fits' })
    expect(good.seatBy).toBeCloseTo(0.04, 9)
    // Half its clearance and the ± of both.
    expect(good.axis).toMatchObject({ value: 0, plusMinus: expect.closeTo(0.02 + 0.04, 9) })
    expect(run(bore(100.04), spigot)).toMatchObject({ dowels: 'fits', seat: 'fits' })
    expect(run(spigot, bore(100.3)).dowels).toBe('work')
    expect(run(spigot, bore(99.95)).seat).toBe('bridge')
    expect(run(spigot, spigot).kinds).toBe('bridge')
    expect(run(spigot, { registerKind: 'none' }).kinds).toBe('bridge')
    expect(run({ registerKind: 'none' }, bore(100)).kinds).toBe('fits')
    expect(run(spigot, {}).kinds).toBe('unmeasured')
  },
)

const play = (a: Partial<Hole>, b: Partial<Hole>) =>
  matchPatterns([{ x: 100, y: 0, d: 8, ...a }], [{ x: 100, y: 0, d: 8.6, ...b }], [], [], 0.125)
    .met[0]?.play

// From an independent reading; play as the design notes have it, heads by ISO 272.
test('bolts and holes are as they are', () => {
  expect(play({ thread: 'M8x1.25' }, {})).toBeCloseTo(0.3)
  // A 3/8 bolt is 9.525 mm, whatever stands beside its thread: it had been taken for M8.
  expect(play({ thread: '3/8-16', d: 8 }, { d: 9.92 })).toBeCloseTo((9.92 - 9.525) / 2)
  // A tapped M10 typed with its drill played 1.25.
  expect(play({ thread: 'M10x1.5', d: 8.5 }, { d: 11 })).toBeCloseTo(0.5)
  expect(play({ thread: 'M10x1.5' }, { d: 9.8 })).toBeUndefined()
  // Ø 18 under a head 16 across flats.
  expect(play({ thread: 'M10x1.5' }, { d: 18 })).toBeUndefined()
  expect(play({ thread: 'M8x1.25' }, { thread: 'M8x1.25' })).toBeUndefined()
  expect(play({ thread: 'through', d: 8.6, bolt: 'M8' }, { d: 8.4 })).toBeCloseTo(0.5)
})

// ISO 272 (1982).
test.each([
  ['M8', 13],
  ['M10x1.25', 16],
  ['M12x1.75', 18],
  ['3/8-16', 14.2875],
])('the head of %s is %d mm across flats', (thread, mm) => {
  expect(headFlatsMm(thread)).toBeCloseTo(mm, 6)
})

test('two plain holes without a stated bolt are not measured, and ask for it; the face may state it for all', () => {
  const both = (bolt?: string) => {
    const verdict = meet(
      'block-face',
      { holes: plain(9), dowels: pins, ...(bolt ? { bolt } : {}) },
      { holes: plain(9), dowels: bores },
    )
    return { verdict, bolts: verdict.limits.find((one) => one.id === 'bolts')! }
  }
  const open = both()
  expect(open.bolts.code).toBe('unmeasured')
  expect(open.verdict.missing.map(({ label }) => label)).toContain(
    'Bolt that passes its plain holes',
  )
  expect(both('M8').bolts.code).toBe('fits')
})

test('two pins never join, and a pin does not enter a hole that is smaller', () => {
  const dowels = (b: Dowel[]) =>
    meet(
      'block-face',
      { holes: tapped(), dowels: pins },
      { holes: plain(), dowels: b },
    ).limits.find(({ id }) => id === 'dowels')!
  expect(dowels(pins)).toMatchObject({ code: 'bridge' })
  expect(dowels(pins).words).toContain('never join')
  expect(dowels(bores.map((one) => ({ ...one, d: 7.92 }))).code).toBe('bridge')
})

test('which hole is odd, where it stands and by how much is said; dowels at fault are not called too few bolts', () => {
  const odd = plain().map((hole, i) => (i === 2 ? { ...hole, y: hole.y + 1.4 } : hole))
  const bolts = (dowels: Dowel[]) =>
    meet('block-face', { holes: tapped(), dowels: pins }, { holes: odd, dowels }).limits.find(
      ({ id }) => id === 'bolts',
    )!
  const { x, y } = tapped()[2]!
  const some = bolts(bores)
  expect(some.code).toBe('work')
  expect(some.words).toContain('7 of 8 bolts meet')
  expect(some.words).toContain(
    `hole 3 on the engine's side at ${Number(x.toFixed(1))}, ${Number(y.toFixed(1))}, 1.40 mm off`,
  )
  const none = bolts([])
  expect(none.code).toBe('bridge')
  expect(none.words).toContain('nothing locates the face')
  expect(none.words).not.toContain('too few')
})

test('where nothing of two faces is known, nothing of them agrees', () => {
  const verdict = meet('block-face', {}, {})
  expect([verdict.code, verdict.agreed]).toEqual(['unmeasured', 0])
})

const unit = fc.double({ min: 0, max: 1, noNaN: true })
test('a search with a bound finds what one without does, on uneven patterns', () => {
  const uneven = fc.array(fc.tuple(unit, unit), { minLength: 5, maxLength: 40 })
  fc.assert(
    fc.property(uneven, fc.tuple(unit, unit, unit), fc.nat(4), (list, [turn, dx, dy], drop) => {
      const a = list.map(
        ([r, phase], i): Hole => ({
          ...at(140 + 60 * r, (360 * (i + 0.6 * phase)) / list.length),
          d: 10,
          thread: 'M10x1.5',
        }),
      )
      const [c, s] = [Math.cos(turn), Math.sin(turn)]
      const b = a.slice(Math.min(drop, a.length - 4)).map(
        ({ x, y }): Hole => ({
          x: c * x - s * y + 4 * dx,
          y: s * x + c * y - 4 * dy,
          d: 10.6,
        }),
      )
      const bound = matchPatterns(a, b, [], [], 0.125)
      const free = matchPatterns(a, b, [], [], 0.125, null, Infinity)
      expect(bound.met).toHaveLength(b.length)
      expect({ ...bound, placement: null }).toEqual({ ...free, placement: null })
    }),
    { numRuns: 25 },
  )
})

test('on a ring that is regular but for one hole the turn that brings all of them together is found, whatever it is', () => {
  const ring = fc.record({
    count: fc.integer({ min: 5, max: 36 }),
    odd: fc.nat(35),
    offMm: fc.double({ min: 0.5, max: 1.4, noNaN: true }),
    turn: fc.double({ min: -3, max: 3, noNaN: true }),
  })
  fc.assert(
    fc.property(ring, ({ count, odd, offMm, turn }) => {
      const a = Array.from(
        { length: count },
        (_, i): Hole => ({
          ...at(i === odd % count ? 140 + offMm : 140, (360 * i) / count),
          d: 10,
          thread: 'M10x1.5',
        }),
      )
      const [c, s] = [Math.cos(turn), Math.sin(turn)]
      const b = a.map(({ x, y }): Hole => ({ x: c * x - s * y, y: s * x + c * y, d: 10.6 }))
      expect(matchPatterns(a, b, [], [], 0.125).met).toHaveLength(count)
    }),
    {
      numRuns: 40,
      examples: [[{ count: 11, odd: 4, offMm: 0.513, turn: 0.8593512945551607 }]],
    },
  )
})

test('where nobody said which way a face looks that is what is asked for, not its holes', () => {
  const verdict = checkJoint(
    jointNamed('block-face')!,
    [
      ...trainPorts({}, 0).filter(({ kind }) => kind !== 'face'),
      ...compilePorts(
        port('face', { holes: tapped() }, { slot: 'rear', looks: 'rearward' }),
        port('face', { holes: plain() }, { slot: 'own' }),
      ),
    ],
    [],
    context(),
  )!
  const bolts = verdict.limits.find(({ id }) => id === 'bolts')!
  expect(bolts.code).toBe('unmeasured')
  expect(bolts.words).toMatch(/nobody said whether its face looks forward or rearward/)
})
