import { expect, test } from 'vitest'
import { compilePart } from '../ports/index.ts'
import { depth } from './depth.ts'
import { checkJoint } from './index.ts'
import { compilePorts, context, port, trainPorts } from './samples.property.ts'

const check = (
  ports: ReturnType<typeof trainPorts>,
  stack: Parameters<typeof compilePart>[0][] = [],
) => checkJoint(depth, ports, [], context({ stack: stack.map((part) => compilePart(part)) }))!
const limit = (verdict: ReturnType<typeof check>, id: string) =>
  verdict.limits.find((one) => one.id === id)!
const plate = (mm: number) => ({
  id: `plate${mm}`,
  kind: 'x',
  name: 'Plate',
  ports: [port('plate', { thicknessMm: mm }, { pm: 0.02 })],
})
const spacer = (mm: number) => ({
  id: `spacer${mm}`,
  kind: 'x',
  name: 'Spacer',
  ports: [port('spacer', { thicknessMm: mm }, { pm: 0.02 })],
})

test('a train built on one datum fits, each stack from its own lengths', () => {
  const verdict = check(trainPorts())
  expect(verdict.code).toBe('fits')
  expect(limit(verdict, 'nose').value).toBeCloseTo(4.2 - 1 + 12.5)
  expect(limit(verdict, 'tip-clear').value).toBeCloseTo(-12.5 + 26.5)
  expect(limit(verdict, 'release-gap').value).toBeCloseTo(87 - (4.2 + 28 + 52))
  expect(limit(verdict, 'starter-gap').value).toBeCloseTo(24.4 - (4.2 + 18))
})

// Design notes: f₀ 4.2, B₀ 0; plate 16 and f 11.8 → e 8.4; spacer 4.2 → 4.2; spacer 8.4 → 0. With f₀ 0: spacer 4.2 → 0.
test('e against the original engine: 8.4, 4.2, 0', () => {
  const e = (stack: Parameters<typeof check>[1], flangeMm = 4.2): unknown =>
    check(
      [
        ...trainPorts({ 'crank-flange': { proudMm: 11.8 } }),
        ...compilePorts(port('original-stack', { flangeMm, platesMm: 0, spacersMm: 0 })),
      ],
      stack,
    ).shown.find((one) => one.label.startsWith('e,'))?.value
  expect(e([plate(16)])).toBeCloseTo(8.4)
  expect(e([plate(16), spacer(4.2)])).toBeCloseTo(4.2)
  expect(e([plate(16), spacer(8.4)])).toBeCloseTo(0)
  expect(e([plate(16), spacer(4.2)], 0)).toBeCloseTo(0)
})

test('a plate that puts the bell back with nothing behind the flange opens release and starter gaps', () => {
  const verdict = check(trainPorts(), [plate(4)])
  expect(limit(verdict, 'release-gap')).toMatchObject({
    code: 'bridge',
    pieces: ['spacer', 'release-bearing'],
  })
  expect(limit(verdict, 'starter-gap').code).toBe('bridge')
  expect(check(trainPorts(), [plate(4), spacer(4)]).code).toBe('fits')
})

test('the starter: off by up to 3 mm is shimmed, further needs another; a short throw with the gap inside too', () => {
  expect(limit(check(trainPorts({ starter: { pinionMm: 27 } })), 'starter-gap')).toMatchObject({
    code: 'work',
    task: { id: 'starter-shim' },
  })
  expect(limit(check(trainPorts({ starter: { pinionMm: 30 } })), 'starter-gap').code).toBe('bridge')
  expect(limit(check(trainPorts({ starter: { throwMm: 6 } })), 'starter-overlap').code).toBe(
    'bridge',
  )
  expect(
    check(trainPorts({ starter: { pinionMm: 30 } })).limits.some(
      (one) => one.id === 'starter-overlap',
    ),
  ).toBe(false)
})

test('a starter on the block does not move with plates; one whose pinion moves rearward counts the other way', () => {
  const block = { mount: 'block', way: 'rearward', pinionMm: 4.2 + 18 - 2.2 }
  expect(limit(check(trainPorts({ starter: block })), 'starter-gap').value).toBeCloseTo(2.2)
  expect(limit(check(trainPorts({ starter: block }), [plate(3)]), 'starter-gap').value).toBeCloseTo(
    2.2,
  )
})

// Rest, flange, clutch face and fingers, each ± 0.4.
test('a damage limit known only loosely is unmeasured, and says how closely it is known', () => {
  const verdict = check(trainPorts({}, 0.4))
  expect(limit(verdict, 'release-gap')).toMatchObject({
    code: 'unmeasured',
    words: expect.stringMatching(
      /^Known only to ± 1.6 mm: measure closer, first .* \(17 % of it\)/,
    ),
  })
  expect(limit(verdict, 'nose').code).toBe('fits')
})

test('worst case is the sum of ±, root sum square beside it: ±0.10, 0.05, 0.20, 0.10 → 0.45 and 0.25', () => {
  const ports = compilePorts(
    port('pilot-bore', { mouthMm: 30, bottomMm: 0, finished: true }, { slot: 'crank', pm: 0.1 }),
    port('pilot-piece', { depthMm: 1, widthMm: 10 }, { pm: 0.05 }),
    port('input-shaft', { tipMm: 5 }, { pm: 0.1 }),
  )
  const nose = limit(
    check(ports, [{ ...plate(2), ports: [port('plate', { thicknessMm: 2 }, { pm: 0.2 })] }]),
    'nose',
  )
  expect(nose.plusMinus).toBeCloseTo(0.45, 10)
  expect(nose.rootSumSquare).toBeCloseTo(0.25, 10)
})

test('on an automatic the pull-up is stated, never without its lengths; the pilot and clutch are not', () => {
  const verdict = check(trainPorts({ ratios: { type: 'automatic' }, pump: { padMm: undefined } }))
  expect(verdict.code).toBe('unmeasured')
  expect(limit(verdict, 'pull-up')).toMatchObject({ code: 'unmeasured', low: 1.5, high: 5 })
  expect(verdict.limits.some((one) => one.id === 'nose')).toBe(false)
})

test('bearing width unknown leaves the nose unmeasured', () => {
  expect(limit(check(trainPorts({ 'pilot-piece': { widthMm: undefined } })), 'nose')).toMatchObject(
    { code: 'unmeasured', words: 'Not known: Sample, width' },
  )
})

test('margins grow toward the window and fall past either end', () => {
  const margin = (restMm: number): number =>
    limit(check(trainPorts({ 'release-bearing': { restMm } })), 'release-gap').margin!
  const rests = [82, 84, 85.7, 86.2, 86.9, 87.6, 88.2, 90, 93]
  const margins = rests.map(margin)
  const top = margins.indexOf(Math.max(...margins))
  for (let i = 1; i < margins.length; i++)
    expect(i <= top ? margins[i]! > margins[i - 1]! : margins[i]! < margins[i - 1]!).toBe(true)
})
