import type { JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'

/** Adds ± B, the plates between block and bell. */
export function plates(sign: 1 | -1, ctx: JointContext, sheet: Sheet): void {
  for (const part of ctx.stack) for (const port of part.ports) if (port.kind === 'plate') sheet.term(sign, (port as unknown as Side['plate']).thicknessMm)
}

/** Adds ± F, where the wheel's face sits: the flange with its spacers. */
export function flange(sign: 1 | -1, a: Side, ctx: JointContext, sheet: Sheet): void {
  sheet.term(sign, a.crankFlange.proudMm)
  for (const part of ctx.stack) for (const port of part.ports) if (port.kind === 'spacer') sheet.term(sign, (port as unknown as Side['spacer']).thicknessMm)
}
