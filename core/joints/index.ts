import type { AnyPort } from '../ports/index.ts'
import { blockFace } from './block-face.ts'
import { clutchCover } from './clutch-cover.ts'
import { clutchDisc } from './clutch-disc.ts'
import { converter } from './converter.ts'
import { crankFlange } from './crank-flange.ts'
import { crankSensor } from './crank-sensor.ts'
import { depth } from './depth.ts'
import { driveShafts } from './drive-shafts.ts'
import { engineMounts } from './engine-mounts.ts'
import { gearboxMount } from './gearbox-mount.ts'
import type { Joint, JointContext } from './joint.ts'
import { Recorder } from './judging/record.ts'
import type { Scene } from './judging/scene.ts'
import { lever } from './lever.ts'
import { loadSignal } from './load-signal.ts'
import { pilot } from './pilot.ts'
import { propshaft } from './propshaft.ts'
import { release } from './release.ts'
import { rotation } from './rotation.ts'
import { arrange } from './side.ts'
import { speedometer } from './speedometer.ts'
import { starterRing } from './starter-ring.ts'
import { sumpClearance } from './sump-clearance.ts'
import { switches } from './switches.ts'
import { takeOff } from './take-off.ts'
import { torque } from './torque.ts'
import { transferCase } from './transfer-case.ts'
import type { Verdict } from './verdict.ts'

/** Every joint kind, in order of power flow. */
export const JOINTS: readonly Joint[] = [
  blockFace,
  crankFlange,
  depth,
  pilot,
  clutchDisc,
  clutchCover,
  release,
  converter,
  starterRing,
  torque,
  crankSensor,
  rotation,
  transferCase,
  loadSignal,
  takeOff,
  propshaft,
  driveShafts,
  gearboxMount,
  engineMounts,
  lever,
  speedometer,
  switches,
  sumpClearance,
]

/** Finds a joint by its file name or its number; null when there is none. */
export function jointNamed(name: string | number): Joint | null {
  return JOINTS.find((joint) => joint.id === name || joint.number === Number(name)) ?? null
}

/** One joint between two lists of ports, as a record; null where it does not apply. */
export function checkJoint(
  joint: Joint,
  one: readonly AnyPort[],
  other: readonly AnyPort[],
  ctx: JointContext,
): Verdict | null {
  const recorder = new Recorder()
  return recorder.add(joint, sceneOf(one, other, ctx)) ? recorder.verdict(joint.id) : null
}

/** Two lists of ports, arranged, with what stands between and what the build says. */
export const sceneOf = (
  one: readonly AnyPort[],
  other: readonly AnyPort[],
  ctx: JointContext,
): Scene => ({
  ...arrange(one, other),
  stack: ctx.stack,
  shop: ctx,
  each: null,
  item: null,
})
