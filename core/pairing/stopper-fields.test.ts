import { expect, test } from 'vitest'
import { port } from '../joints/samples.property.ts'
import { compilePart } from '../ports/index.ts'
import { fieldsOfAnswer } from './stopper-fields.ts'
import { STOPPERS } from './stoppers.ts'

const part = (id: string, ...ports: ReturnType<typeof port>[]) =>
  compilePart({ id, kind: 'sample', name: id, ports })
const pair = {
  engine: part('engine', port('engine-output', { turns: 'counter-clockwise' })),
  transmission: part(
    'box',
    port('starter-seat', { side: 'left' }),
    port('load-signal', { wants: 'vacuum' }),
  ),
  recipient: part('van'),
  transfer: part('case', port('transfer', { frontSide: 'right' })),
}
const said = (question: string, says: 'yes' | 'no' | 'unknown', of = pair) =>
  fieldsOfAnswer(question, says, of).map(({ part: id, port: place, field, value }) => [
    id,
    `${place}.${field}`,
    value,
  ])

test.each([
  ['pilot-bore', 'yes', [['engine', 'pilot-bore/crank.finished', true]]],
  ['crank-sensor', 'no', [['box', 'sensor-seat/main.drilled', false]]],
  ['rotation', 'yes', [['box', 'ratios/main.turns', 'counter-clockwise']]],
  ['rotation', 'no', [['box', 'ratios/main.turns', 'clockwise']]],
  ['starter-side', 'yes', [['van', 'starter-room/main.side', 'left']]],
  ['starter-side', 'no', [['van', 'starter-room/main.side', 'right']]],
  ['front-output', 'yes', [['van', 'front-axle/main.side', 'right']]],
  ['front-output', 'no', [['van', 'front-axle/main.side', 'left']]],
  ['load-signal', 'no', [['engine', 'load-source/main.vacuum', false]]],
] as const)('%s, %s', (question, says, fields) => {
  expect(said(question, says)).toEqual(fields)
})

test('where the other side is not known nothing follows: the answer is kept, not guessed', () => {
  const bare = {
    engine: part('engine'),
    transmission: part('box'),
    recipient: null,
    transfer: null,
  }
  for (const question of ['rotation', 'starter-side', 'front-output', 'load-signal'])
    expect([question, said(question, 'yes', bare as never)]).toEqual([question, []])
})

test("don't know decides nothing, nor do papers, room and law", () => {
  for (const { id } of STOPPERS) expect(said(id, 'unknown')).toEqual([])
  for (const id of ['papers', 'room', 'law', 'ecu-set', 'belt-sense'])
    expect(said(id, 'yes')).toEqual([])
})
