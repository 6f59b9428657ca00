import { expect, test } from 'vitest'
import { tolerances } from '../joints/tolerances.ts'
import { type CompiledPart, compilePart } from '../ports/index.ts'
import { PartJudge } from './judged-parts.ts'
import type { Train } from './train.ts'

type Ports = Readonly<Record<string, Readonly<Record<string, unknown>>>>
/** A part with what was measured of it, by `kind/slot/looks`. */
const part = (id: string, kind: string, ports: Ports): CompiledPart =>
  compilePart({
    id,
    kind,
    name: id,
    ports: Object.entries(ports).map(([port, fields]) => {
      const [name = '', slot = 'main', looks] = port.split('/')
      return {
        id: `${id}/${port}`,
        kind: name,
        slot,
        looks: looks as 'forward' | undefined,
        claims: Object.fromEntries(
          Object.entries(fields).map(([field, value]) => [
            field,
            [{ id: `${id}.${field}`, value: value as number, grade: 'measured' as const }],
          ]),
        ),
      }
    }),
  })
const evenly = (count: number): number[] =>
  Array.from({ length: count }, (_, i) => (i * 360) / count)

const engine = part('crank of twelve', 'engine', {
  'crank-flange/main': { angles: evenly(12), circleMm: 90, thread: 'M10x1.25' },
})
const box = part('manual', 'transmission', {
  'ratios/main': { type: 'manual' },
  'input-shaft/main': { splines: 22, majorMm: 29, form: 'involute' },
})
const train: Train = { engine, transmission: box, recipient: null, coupling: [], inserted: [] }
const judge = (of: Train = train): PartJudge => new PartJudge(of, { tolerances: tolerances() }, [])

test('a measured six-hole wheel is refused for a crank with twelve, limit by limit; one nobody measured is to be confirmed', () => {
  const six = part('six', 'flywheel', { 'flywheel/main': { angles: evenly(6), circleMm: 70 } })
  const twelve = part('twelve', 'flywheel', {
    'flywheel/main': { angles: evenly(12), circleMm: 90 },
  })
  const unknown = part('unknown', 'flywheel', { 'flywheel/main': {} })
  expect(judge().of({ part: six }).refused).toMatch(/^Crank flange/)
  expect(judge().of({ part: twelve })).toMatchObject({ refused: null, isOpen: true })
  const { refused, open } = judge().of({ part: unknown })
  expect(refused).toBeNull()
  expect(open).toEqual(expect.arrayContaining([expect.stringMatching(/^unknown, /)]))
})

test('a disc with unknown splines is to be confirmed, one with others is refused', () => {
  const disc = (id: string, splines?: number) =>
    part(id, 'disc', {
      'disc-hub/main': {
        majorMm: 29.1,
        form: 'involute',
        ...(splines === undefined ? {} : { splines }),
      },
    })
  expect(judge().of({ part: disc('other', 10) }).refused).toMatch(/splines/i)
  expect(judge().of({ part: disc('open') })).toMatchObject({ refused: null, isOpen: true })
  expect(
    judge()
      .of({ part: disc('open') })
      .open.join(),
  ).toMatch(/splines/i)
})

test('what fails with a piece that is not settled speaks only against the two together; with one a person keeps, against it', () => {
  const wheel = part('wheel', 'flywheel', {
    'clutch-seat/main': { circleMm: 270, angles: evenly(6) },
  })
  const cover = part('cover', 'cover', { 'cover-mount/main': { circleMm: 300, angles: evenly(6) } })
  const whole = { ...train, coupling: [wheel] }
  expect(judge(whole).of({ part: cover }).refused).toBeNull()
  const kept = new PartJudge(whole, { tolerances: tolerances() }, [], ['wheel'])
  expect(kept.of({ part: cover }).refused).toMatch(/cover/i)
  const conflicts = judge().conflicts(
    new Map([
      ['w', { part: wheel }],
      ['c', { part: cover }],
    ]),
    (need) => (need === 'w' ? [wheel] : [cover]),
  )
  expect(conflicts[0]!.sides).toEqual(
    expect.arrayContaining([
      { need: 'w', parts: ['wheel'] },
      { need: 'c', parts: ['cover'] },
    ]),
  )
})

test('a bridge nothing closes yet makes the pieces that cure it open, and refuses none for it', () => {
  const plate = part('plate', 'plate', { 'plate/main': { thicknessMm: 12 } })
  expect(judge().of({ part: plate })).toMatchObject({ refused: null, isOpen: false })
  const bridged = new PartJudge(train, { tolerances: tolerances() }, [
    { bare: { limits: [{ code: 'bridge', pieces: ['plate'] }] } },
  ])
  expect(bridged.of({ part: plate })).toMatchObject({ refused: null, isOpen: true })
})
