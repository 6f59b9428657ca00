import fc from 'fast-check'
import { expect, test } from 'vitest'
import { canBe, type FieldWords } from '../ports/field.ts'
import { compilePart, PORT_KINDS } from '../ports/index.ts'
import { parseTyped } from '../ports/parse.ts'
import { CODES } from './code.ts'
import { checkJoint, JOINTS, sceneOf } from './index.ts'
import { Tally } from './judging/tally.ts'
import { anyPorts, context, type port } from './samples.property.ts'

const compile = (
  ports: Parameters<typeof port> extends never ? never : ReturnType<typeof port>[],
) => compilePart({ id: 'p', kind: 'sample', name: 'Sample', ports }).ports

test('tally and record give the same code, counts and weakest grade on every case', () => {
  fc.assert(
    fc.property(anyPorts, (ports) => {
      const compiled = compile(ports)
      for (const joint of JOINTS) {
        const tally = new Tally()
        const applied = tally.add(joint, sceneOf(compiled, [], context()))
        const verdict = checkJoint(joint, compiled, [], context())
        expect(verdict !== null).toBe(applied)
        if (!verdict) continue
        expect([CODES[tally.code], tally.stated, tally.known, tally.agreed, tally.outside]).toEqual(
          [verdict.code, verdict.stated, verdict.known, verdict.agreed, verdict.outside],
        )
      }
    }),
    { numRuns: 400, seed: 7 },
  )
})

test('a joint reads the same whichever side its ports were given on', () => {
  fc.assert(
    fc.property(
      anyPorts,
      fc.array(fc.boolean(), { minLength: 24, maxLength: 24 }),
      (ports, split) => {
        const compiled = compile(ports)
        const one = compiled.filter((_, i) => split[i])
        const other = compiled.filter((_, i) => !split[i])
        for (const joint of JOINTS)
          expect(checkJoint(joint, one, other, context())).toEqual(
            checkJoint(joint, other, one, context()),
          )
      },
    ),
    { numRuns: 150, seed: 11 },
  )
})

test('typing the same lengths in inches never changes a verdict', () => {
  fc.assert(
    fc.property(anyPorts, (ports) => {
      const inInches = ports.map((one) => ({
        ...one,
        claims: Object.fromEntries(
          Object.entries(one.claims).map(([field, claims]) => {
            const words = (
              PORT_KINDS[one.kind as 'ring'].fields as unknown as Record<
                string,
                FieldWords<unknown>
              >
            )[field]!
            return [
              field,
              claims.map((claim) =>
                words.unit === 'mm' && words.type === 'number' && canBe(words, claim.value)
                  ? { ...claim, value: parseTyped(words, `${Number(claim.value) / 25.4} in`) }
                  : claim,
              ),
            ]
          }),
        ),
      }))
      const [typed, kept] = [compile(inInches), compile(ports)]
      for (const joint of JOINTS)
        expect(checkJoint(joint, typed, [], context())?.code).toBe(
          checkJoint(joint, kept, [], context())?.code,
        )
    }),
    { numRuns: 150, seed: 13 },
  )
})

test('a claim of the same value, grade and specimen with a smaller ± never makes a code greater, where nothing is outside', () => {
  fc.assert(
    fc.property(anyPorts, fc.nat(), (ports, pick) => {
      const fields = ports.flatMap((one, i) =>
        Object.keys(one.claims).map((field) => [i, field] as const),
      )
      const chosen = fields[pick % Math.max(1, fields.length)]
      if (!chosen) return
      const closer = ports.map((one, i) =>
        i === chosen[0]
          ? {
              ...one,
              claims: {
                ...one.claims,
                [chosen[1]]: [
                  ...one.claims[chosen[1]]!,
                  { ...one.claims[chosen[1]]![0]!, id: 'closer', plusMinus: 0 },
                ],
              },
            }
          : one,
      )
      const [known, better] = [compile(ports), compile(closer)]
      for (const joint of JOINTS) {
        const before = checkJoint(joint, known, [], context())
        if (!before || before.outside > 0) continue
        expect(CODES.indexOf(checkJoint(joint, better, [], context())!.code)).toBeLessThanOrEqual(
          CODES.indexOf(before.code),
        )
      }
    }),
    { numRuns: 300, seed: 17 },
  )
})

test('no joint fits while a field it read is unknown', () => {
  fc.assert(
    fc.property(anyPorts, (ports) => {
      const compiled = compile(ports)
      for (const joint of JOINTS) {
        const verdict = checkJoint(joint, compiled, [], context())
        if (verdict?.code === 'fits') expect(verdict.missing).toEqual([])
        if (verdict && verdict.known < verdict.stated)
          expect(['unmeasured', 'clash']).toContain(verdict.code)
      }
    }),
    { numRuns: 300, seed: 19 },
  )
})
