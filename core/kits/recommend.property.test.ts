import fc from 'fast-check'
import { expect, test } from 'vitest'
import { leastWall } from './plate-walls.ts'
import { type KitFigures, recommendKit } from './recommend.ts'

const kit = (id: string, rest: Partial<KitFigures> = {}): KitFigures => ({
  id,
  name: `Kit ${id}`,
  standing: null,
  clashes: 0,
  bridges: 0,
  unmeasured: 0,
  wall: null,
  held: 0,
  failed: 0,
  lost: 0,
  totalMinor: 100_000,
  ...rest,
})
const euros = (minor: number): string => `${minor / 100} EUR`
const pick = (...kits: KitFigures[]) => recommendKit(kits, euros)

test('what cannot go together, is thin, fails or is not sold loses to what costs more; the reason says by how much', () => {
  const sound = kit('sound', { totalMinor: 150_000 })
  for (const [rest, words] of [
    [{ clashes: 1 }, '1 joint cannot go together'],
    [
      { wall: { between: 'front hole 2 and rear hole 3', wallMm: 4, wantedMm: 8.2 } },
      'leave 4.0 mm of metal, wanted 8.2',
    ],
    [{ failed: 4, held: 1 }, '4 say that it failed, 1 that it held'],
    [{ bridges: 2 }, '2 joints left for another piece'],
    [{ standing: 'announced' }, 'announced, not sold yet'],
    [{ unmeasured: 1 }, '1 joint unmeasured'],
  ] as const) {
    const { kitId, because } = pick(kit('cheap', rest), sound)
    expect(kitId).toBe('sound')
    expect(because[0]).toContain(words)
    expect(because[0]).toContain('though it comes to 500 EUR less')
  }
})

test('of sound kits the least money; near equals by what is had again; none where all clash', () => {
  expect(pick(kit('a', { totalMinor: 90_000 }), kit('b'))).toEqual({
    kitId: 'a',
    because: ['Kit b comes to 100 EUR more'],
  })
  const { kitId, because } = pick(kit('a', { totalMinor: 99_500, lost: 1 }), kit('b'))
  expect(kitId).toBe('b')
  expect(because[0]).toContain('nobody says how it is had again, though it comes to 5 EUR less')
  expect(pick(kit('a', { clashes: 1 }), kit('b', { clashes: 2 })).kitId).toBeNull()
  // Two who say so are talk, not knowledge.
  expect(pick(kit('a', { totalMinor: 90_000, failed: 2 }), kit('b')).kitId).toBe('a')
})

test('the order in which kits are given changes nothing, and a worse figure never helps', () => {
  const figures = fc.record({
    standing: fc.constantFrom(null, 'trial', 'announced' as const),
    clashes: fc.nat(2),
    bridges: fc.nat(2),
    unmeasured: fc.nat(3),
    held: fc.nat(4),
    failed: fc.nat(5),
    lost: fc.nat(2),
    totalMinor: fc.option(fc.integer({ min: 1000, max: 9000 }).map((euro) => euro * 100)),
  })
  fc.assert(
    fc.property(fc.array(figures, { minLength: 2, maxLength: 4 }), (all) => {
      const kits = all.map((one, i) => kit(String(i), one as Partial<KitFigures>))
      const best = pick(...kits).kitId
      expect(pick(...[...kits].reverse()).kitId).toBe(best)
      const worse = kits.map((one) =>
        one.id === best ? one : { ...one, clashes: one.clashes + 1, bridges: one.bridges + 1 },
      )
      if (best !== null) expect(pick(...worse).kitId).toBe(best)
    }),
  )
})

test('the least wall of a plate is found between its patterns and at its edge', () => {
  const face = (x: number, d = 10) => ({ holes: [{ x, y: 0, d }], dowels: [], outline: null })
  expect(leastWall(face(0), face(15))).toEqual({
    between: 'front hole 1 and rear hole 1',
    wallMm: 5,
    wantedMm: 8,
  })
  // One hole through both is no wall.
  expect(leastWall(face(0), face(0.2))).toBeNull()
  expect(leastWall(null, face(0))).toBeNull()
  const outline = [
    { x: -60, y: -60 },
    { x: 60, y: -60 },
    { x: 60, y: 60 },
    { x: -60, y: 60 },
  ]
  expect(leastWall({ ...face(52), outline }, face(0))).toMatchObject({
    between: 'front hole 1 and the edge',
    wallMm: 8,
    wantedMm: 12,
  })
})
