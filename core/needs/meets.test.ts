import { expect, test } from 'vitest'
import { compilePart } from '../ports/index.ts'
import { constraintsOf, meets } from './meets.ts'

const part = (id: string, kind: string, ports: Record<string, Record<string, unknown>>) =>
  compilePart({
    id,
    kind,
    name: id,
    ports: Object.entries(ports).map(([at, values]) => {
      const [port = '', slot = 'main', looks] = at.split('/')
      return {
        id: `${id}/${at}`,
        kind: port,
        slot,
        ...(looks ? { looks: looks as 'forward' } : {}),
        claims: Object.fromEntries(
          Object.entries(values).map(([field, value]) => [
            field,
            [{ id: `${id}.${field}`, value, grade: 'maker' as const }],
          ]),
        ),
      }
    }),
  })

const hole = (x: number, y: number, d: number, thread?: string) => ({
  x,
  y,
  d,
  ...(thread ? { thread } : {}),
})
const plate = (
  id: string,
  thicknessMm: number | undefined,
  dowels: unknown = [hole(150, 0, 12), hole(-150, 0, 12)],
) =>
  part(id, 'plate', {
    'plate/main': thicknessMm === undefined ? {} : { thicknessMm },
    'face/front/forward': { holes: [hole(1, 2, 10.6), hole(3, 4, 10.6)], dowels },
    'face/rear/rearward': { holes: [hole(5, 6, 10, 'M10x1.5')] },
  })
const wanted = { kind: 'plate', wants: 'first', constraints: constraintsOf(plate('first', 12)) }

test('the part wanted meets its own constraints, and so does one with equal ports', () => {
  expect(meets(plate('first', 12), wanted)).toEqual({ meets: 'yes' })
  expect(meets(plate('twin', 12.05), wanted)).toEqual({ meets: 'yes' })
})

test.each([
  ['another thickness', plate('thick', 16), /Thickness/],
  ['no dowels where dowels are', plate('bare', 12, []), /Dowels/],
  ['dowels elsewhere', plate('moved', 12, [hole(140, 0, 12), hole(-150, 0, 12)]), /Dowels/],
  ['another kind', part('disc', 'disc', {}), /It is a disc/],
])('%s is no candidate, and says why', (_, one, says) => {
  expect(meets(one, wanted)).toMatchObject({ meets: 'no', because: expect.stringMatching(says) })
})

test('the order in which holes were typed does not matter', () => {
  const turned = part('turned', 'plate', {
    'plate/main': { thicknessMm: 12 },
    'face/front/forward': {
      holes: [hole(3, 4, 10.6), hole(1, 2, 10.6)],
      dowels: [hole(-150, 0, 12), hole(150, 0, 12)],
    },
    'face/rear/rearward': { holes: [hole(5, 6, 10)] },
  })
  expect(meets(turned, wanted)).toEqual({ meets: 'yes' })
})

test('the two faces of a plate are not taken for one another', () => {
  const swapped = part('swapped', 'plate', {
    'plate/main': { thicknessMm: 12 },
    'face/front/forward': {
      holes: [hole(5, 6, 10)],
      dowels: [hole(150, 0, 12), hole(-150, 0, 12)],
    },
    'face/rear/rearward': { holes: [hole(1, 2, 10.6), hole(3, 4, 10.6)] },
  })
  expect(meets(swapped, wanted).meets).toBe('no')
})

test('a field nobody measured makes it confirm, named', () => {
  expect(meets(plate('unknown', undefined), wanted)).toEqual({
    meets: 'confirm',
    unknown: ['Thickness'],
  })
})

test('a thread is one thread in any spelling; a window is inclusive; a part id is itself alone', () => {
  const bolt = part('bolt', 'flange-bolt', {
    'flange-bolts/main': { thread: 'm10 × 1.25', lengthMm: 25.5 },
  })
  const want = (constraints: Parameters<typeof meets>[1]['constraints']) =>
    meets(bolt, { kind: 'flange-bolt', constraints }).meets
  expect(want([{ port: 'flange-bolts', field: 'thread', equals: 'M10x1.25' }])).toBe('yes')
  expect(want([{ port: 'flange-bolts', field: 'thread', equals: 'M10x1.5' }])).toBe('no')
  expect(want([{ port: 'flange-bolts', field: 'lengthMm', low: 24.5, high: 25.5 }])).toBe('yes')
  expect(want([{ port: 'flange-bolts', field: 'lengthMm', high: 25.4 }])).toBe('no')
  expect(want([{ equals: 'bolt' }])).toBe('yes')
  expect(want([{ equals: 'other' }])).toBe('no')
})

test('outlines are drawn, never asked for', () => {
  expect(
    constraintsOf(
      part('v', 'vehicle', {
        'face/front/forward': {
          outline: [
            { x: 0, y: 0 },
            { x: 1, y: 0 },
            { x: 0, y: 1 },
          ],
        },
      }),
    ),
  ).toEqual([])
})
