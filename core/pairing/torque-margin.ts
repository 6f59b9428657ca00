import { jointNamed } from '../joints/index.ts'
import { type CompiledPart, isOf, withFields } from '../ports/index.ts'
import { assemble, contextOf, type PairingContext, recordJoint, type Train } from './train.ts'

/** Least torque margin at the gearbox input, N·m, with the engine as it is or tuned to another peak; null where not known. */
export function torqueMargin(
  train: Train,
  ctx: PairingContext,
  peakNm: number | null = null,
): number | null {
  const assembly = assemble(
    peakNm === null ? train : { ...train, engine: withPeak(train.engine, peakNm) },
  )
  const margins = recordJoint(
    jointNamed('torque')!,
    assembly,
    contextOf(assembly, ctx),
  )!.limits.flatMap((limit) => (limit.id === 'torque' ? [limit.margin] : []))
  return margins.length === 0 || margins.some((margin) => margin === null)
    ? null
    : Math.min(...(margins as number[]))
}

/** The same engine tuned to another peak: its claim on torque is replaced, all else stays. */
function withPeak(engine: CompiledPart, nm: number): CompiledPart {
  const ports = engine.ports.map((port) => {
    if (!isOf(port, 'engine-output')) return port
    return withFields(port, {
      peakTorqueNm: { ...port.peakTorqueNm, v: nm, pm: 0, claim: 'target' },
    })
  })
  return { ...engine, ports }
}
