import { expect, test } from 'vitest'
import { compilePorts, port, trainPorts } from '../joints/samples.property.ts'
import { arrange } from '../joints/side.ts'
import { hardwareOf } from './joint-hardware.ts'

type Changes = Parameters<typeof trainPorts>[0]
const hardware = (joint: string, changes: Changes = {}, plateMm = 0) => {
  const { a, b } = arrange(trainPorts(changes), [])
  return hardwareOf(joint, a, b, plateMm)
}

test('the crank flange yields its bolts whole: size, pitch, class, length, depth, drill', () => {
  const [set] = hardware('crank-flange').bolts
  expect(set).toMatchObject({
    count: 6,
    thread: 'M10x1.25',
    pitchMm: 1.25,
    boltClass: '10.9',
    gripMm: 12,
    lengthMm: 25,
    engagedMm: 10,
  })
  expect(set!.tightness).toMatch(/cross pattern.*K 0\.2.*unless the maker states/)
})

test('a torque the maker states goes before any reckoning, and an angle asks for new bolts', () => {
  const tight = (values: object) =>
    hardware('crank-flange', { 'flange-bolts': values as never }).bolts[0]!.tightness
  expect(tight({ torqueNm: 78 })).toMatch(/78 N·m by the maker/)
  expect(tight({ torqueNm: 30, angleDeg: 90 })).toMatch(/30 N·m, then 90°.*renewed/)
  expect(tight({ boltClass: '12.9' })).toMatch(/12\.9/)
})

// ISO 898-1 and T = K·d·F: M10×1.5 8.8, K 0.20 → 50.5 N·m (design notes).
test('where nobody states a torque it is reckoned by a stated method', () => {
  const [set] = hardware('gearbox-mount').bolts
  expect(set!.tightness).toContain('50 N·m')
  expect(set!.drillMm).toBe(8.5)
})

test('a length follows from grip and engagement where none is claimed', () => {
  const faces = compilePorts(
    port(
      'face',
      {
        holes: [{ x: 100, y: 0, d: 10, thread: 'M10x1.5' }],
        dowels: [{ x: 0, y: 90, d: 12, pin: true }],
      },
      { looks: 'rearward' },
    ),
    port(
      'face',
      { holes: [{ x: 100, y: 0, d: 10.6 }], dowels: [{ x: 0, y: 90, d: 12.03 }] },
      { looks: 'forward' },
    ),
  )
  const { a, b } = arrange(faces, [])
  const { bolts, fits } = hardwareOf('block-face', a, b, 16)
  // 16 of plate and 1.5 d in aluminium is 31: the next preferred length holds it.
  expect(bolts[0]!.lengthMm).toBeGreaterThanOrEqual(31)
  expect(bolts[0]!.lengthMm).toBeLessThanOrEqual(35)
  expect(fits[0]!.leastMm).toBeCloseTo(0.01)
  expect(fits[0]!.greatestMm).toBeCloseTo(0.05)
})

// ISO 286-2: H7/p6 at 25 is 0.001 to 0.035 mm of interference (design notes: +21 over +22/+35).
test('a pressed piece says its interference as measured and the nominal fit beside it', () => {
  const [pressed, nose] = hardware('pilot').fits
  expect(pressed!.greatestMm).toBeCloseTo(25 - 25.018 + 0.04)
  expect(pressed!.nominal).toBe('H7/p6 at 25: 0.001 to 0.035 mm of interference')
  expect(nose!.leastMm).toBeCloseTo(0.015 - 0.04)
  expect(nose!.nominal).toBeNull()
})

test('what is not known yields nothing, and a joint that neither bolts nor locates has none', () => {
  expect(hardware('clutch-cover', { 'clutch-seat': { thread: undefined } }).bolts).toEqual([])
  expect(hardware('pilot', { 'pilot-bore': { boreMm: undefined } }).fits).toHaveLength(1)
  expect(hardware('torque')).toEqual({ bolts: [], fits: [] })
})
