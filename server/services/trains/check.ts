import type { z } from 'zod'
import type { checkJointRequest, checkPairingRequest } from '../../../contract/check.ts'
import { toCorePart, toCorePort, type WirePart, type WirePort } from '../../../contract/wire.ts'
import { checkJoint, JOINTS, jointNamed } from '../../../core/joints/index.ts'
import { tolerances } from '../../../core/joints/tolerances.ts'
import type { Verdict } from '../../../core/joints/verdict.ts'
import type { ClosingSet } from '../../../core/pairing/closing.ts'
import { couplingSet } from '../../../core/pairing/coupling.ts'
import { type JointResult, runPairing } from '../../../core/pairing/pairing.ts'
import { type CompiledPart, compilePart } from '../../../core/ports/index.ts'
import { UnprocessableError } from '../../errors.ts'

const compile = (part: WirePart): CompiledPart => compilePart(toCorePart(part))
const portsOf = (name: string, ports: readonly WirePort[]): CompiledPart['ports'] =>
  compilePart({
    id: name,
    kind: 'part',
    name,
    ports: ports.map((port, i) => toCorePort(port, `${name}/${port.kind}/${port.slot}-${i}`)),
  }).ports

/** One joint, nothing stored. @throws UnprocessableError naming the joints there are */
export function checkOneJoint({
  joint: name,
  a,
  b,
  context = {},
}: z.infer<typeof checkJointRequest>): { applies: boolean; verdict: Verdict | null } {
  const joint = jointNamed(name)
  if (!joint)
    throw new UnprocessableError(
      `There is no joint "${name}". There are: ${JOINTS.map((one) => `${one.id} (${one.number})`).join(', ')}.`,
      [{ path: 'joint', message: 'Unknown joint' }],
    )
  const recipient = context.recipient ? compile(context.recipient).ports : []
  const verdict = checkJoint(joint, portsOf('a', a), [...portsOf('b', b), ...recipient], {
    stack: (context.stack ?? []).map(compile),
    tolerances: tolerances(context.tolerances),
    use: context.limits?.use,
    placement: context.placement,
  })
  return { applies: verdict !== null, verdict }
}

/** One pairing, bridging only among the parts sent. */
export function checkOnePairing(body: z.infer<typeof checkPairingRequest>): {
  joints: readonly JointResult[]
  closedBy: readonly ClosingSet[]
  notes: readonly string[]
} {
  const transmission = compile(body.transmission)
  const coupling = (body.coupling ?? []).map(compile)
  // A bell that is sent with the pairing is the one its lengths were taken with; others are among the parts.
  const ownBell = coupling.find(({ kind }) => kind === 'bellhousing') ?? null
  const { parts, notes } = couplingSet(transmission, [], [], coupling)
  // Pieces sent beyond the usual kinds still count: they were named.
  const others = coupling.filter((part) => !parts.includes(part))
  const train = {
    engine: compile(body.engine),
    transmission,
    ownBell,
    recipient: body.recipient ? compile(body.recipient) : null,
    coupling: [...parts, ...others],
    transfer: body.transfer ? compile(body.transfer) : null,
    inserted: [],
  }
  const result = runPairing(
    train,
    { tolerances: tolerances(body.tolerances), use: body.limits?.use, placement: body.placement },
    (body.parts ?? []).map(compile),
  )
  return { joints: [...result.joints], closedBy: [...result.closedBy], notes }
}
