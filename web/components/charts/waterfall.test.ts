import fc from 'fast-check'
import { expect, test } from 'vitest'
import { scaleOf, waterfall } from './waterfall.ts'

const steps = fc.array(
  fc.record({ id: fc.string(), name: fc.string(), minor: fc.integer({ min: -1e7, max: 1e7 }) }),
)

test('each bar begins where the one before ended; the last spans from nothing to the sum', () => {
  fc.assert(
    fc.property(steps, (all) => {
      const falls = waterfall(all, 'Net')
      const sum = all.reduce((total, { minor }) => total + minor, 0)
      const [net, ...before] = [falls.at(-1)!, ...falls.slice(0, -1)]
      before.forEach(({ span, minor }, i) => {
        expect(span[0]).toBe(i === 0 ? 0 : before[i - 1]!.span[1])
        expect(span[1] - span[0]).toBe(minor)
      })
      expect([net.minor, net.span]).toEqual([sum, [0, sum]])
    }),
  )
})

test('one scale holds every bar, and nothing', () => {
  fc.assert(
    fc.property(fc.array(steps), (many) => {
      const falls = many.map((all) => waterfall(all, 'Net'))
      const [low, high] = scaleOf(falls)
      expect(low).toBeLessThanOrEqual(0)
      expect(high).toBeGreaterThan(0)
      for (const { span } of falls.flat())
        for (const end of span) expect(end >= low && end <= high).toBe(true)
    }),
  )
})
