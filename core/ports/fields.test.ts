import { expect, test } from 'vitest'
import { JOINTS } from '../joints/index.ts'
import { describeJoint } from '../joints/judging/describe.ts'
import { PORT_KINDS } from './index.ts'

/** Fields no joint reads, each with what it is for. */
const ELSEWHERE: Readonly<Record<string, string>> = {
  cylinders: 'what the engine is drawn from; how many plugs it wants',
  'engine-output': 'pull on the road',
  'road-load': 'pull on the road',
  transfer: 'where its front shaft is drawn from',
  'side-outputs': 'where its shafts are drawn from',
  face: 'overhang of the outline is shown and decides nothing',
  plate: 'its thickness is in every stack it stands in',
  spacer: 'its thickness is in every stack it stands in',
  'flange-bolts': 'the maker’s class, torque and angle go into the bolts of the joint',
  ratings: 'the basis decides the factor of use',
  'original-stack': 'the offset against the original is shown and decides nothing',
  axle: 'the laden load caps torque by tyre grip',
  output: 'the thread of its flange goes into the bolts of the joint',
  pinion: 'the flange decides which shaft halves fit',
  'shaft-half': 'searched for shafts off the shelf',
  bell: 'another bell moves every length of the gearbox by the difference',
  bay: 'room for the train',
  tunnel: 'room for the train',
  'engine-traits': 'read by lines of the list',
  'gearbox-traits': 'read by lines of the list',
  'vehicle-traits': 'read by lines of the list',
  outline: 'drawn on the strip, and room for the train',
}
const ALLOWED: Readonly<Record<string, readonly string[]>> = {
  face: ['outline'],
  'flange-bolts': ['boltClass', 'torqueNm', 'angleDeg'],
  ratings: ['basis'],
  axle: ['ladenKg'],
  bell: ['lengthMm', 'restMm'],
  'engine-output': ['peakPowerKw', 'peakPowerRpm', 'basis', 'curveRpm', 'curveNm'],
  transfer: ['dropMm', 'frontAlongMm'],
  'side-outputs': ['alongMm', 'besideMm', 'belowMm'],
  output: ['thread'],
  pinion: ['flange'],
}

test('every field of every port is read by a joint, or is named with what it is for', () => {
  const read = new Set(
    JOINTS.flatMap((joint) =>
      describeJoint(joint).reads.map(({ port, field }) => `${port}.${field}`),
    ),
  )
  const unread = Object.entries(PORT_KINDS).flatMap(([kind, { fields }]) =>
    Object.keys(fields).flatMap((field) => (read.has(`${kind}.${field}`) ? [] : [{ kind, field }])),
  )
  for (const { kind, field } of unread) {
    expect(ELSEWHERE, `${kind}.${field} is read by nothing`).toHaveProperty([kind])
    if (ALLOWED[kind]) expect(ALLOWED[kind], `${kind}.${field}`).toContain(field)
  }
})
