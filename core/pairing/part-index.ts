import { SLOTS, type Slot } from '../joints/side.ts'
import { faceOrUnsaid } from '../joints/unsaid-face.ts'
import {
  type AnyPort,
  type Compiled,
  type CompiledPart,
  PORT_KINDS,
  type PortKindName,
  portsOf,
} from '../ports/index.ts'
import { CASE_SLOT } from './with-bell.ts'

/** What assembling asks of a part, found once: parts never change once compiled. */
export interface PartIndex {
  readonly hasPlate: boolean
  readonly hasFace: boolean
  readonly hasSpacer: boolean
  readonly frontFace: Compiled<'face'>
  /** Behind a separate bell. */
  readonly caseFace: Compiled<'face'>
  readonly rearFace: Compiled<'face'>
  readonly plate: Compiled<'plate'>
  readonly spacer: Compiled<'spacer'>
  readonly crankFlange: Compiled<'crank-flange'>
  readonly flywheel: Compiled<'flywheel'>
  readonly flangeBolts: Compiled<'flange-bolts'>
  /** The bore, where this part carries one. */
  readonly pilotBore: Compiled<'pilot-bore'> | null
  readonly converterBore: Compiled<'converter-bore'> | null
  readonly ratings: readonly Compiled<'ratings'>[]
  /** Every other port with the place it takes on a side. */
  readonly placed: readonly { readonly slot: Slot; readonly port: AnyPort }[]
}

const memory = new WeakMap<CompiledPart, PartIndex>()

/** The index of a part, remembered. */
export function indexOf(part: CompiledPart): PartIndex {
  let index = memory.get(part)
  if (!index) memory.set(part, (index = build(part)))
  return index
}

function build(part: CompiledPart): PartIndex {
  const first = <K extends PortKindName>(
    kind: K,
    looks?: 'forward' | 'rearward',
  ): Compiled<K> | undefined => portsOf(part, kind, looks)[0]
  const forward = portsOf(part, 'face', 'forward')
  const placed = new Map<Slot, AnyPort>()
  for (const port of part.ports) {
    if (port.kind === 'ratings' || port.kind === 'pilot-bore' || port.kind === 'crank-flange')
      continue
    const slot = SLOTS[port.kind]
    if (!placed.get(slot)?.present) placed.set(slot, port)
  }
  return {
    hasPlate: first('plate') !== undefined,
    hasFace: first('face') !== undefined,
    hasSpacer: first('spacer') !== undefined,
    frontFace: faceOrUnsaid(
      part.ports,
      forward.find(({ slot }) => slot !== CASE_SLOT),
    ),
    caseFace: faceOrUnsaid(
      part.ports,
      forward.find(({ slot }) => slot === CASE_SLOT),
    ),
    rearFace: faceOrUnsaid(part.ports, first('face', 'rearward')),
    plate: first('plate') ?? PORT_KINDS.plate.missing,
    spacer: first('spacer') ?? PORT_KINDS.spacer.missing,
    crankFlange: first('crank-flange') ?? PORT_KINDS['crank-flange'].missing,
    flywheel: first('flywheel') ?? PORT_KINDS.flywheel.missing,
    flangeBolts: first('flange-bolts') ?? PORT_KINDS['flange-bolts'].missing,
    pilotBore: first('pilot-bore') ?? null,
    converterBore: first('converter-bore') ?? null,
    ratings: portsOf(part, 'ratings'),
    placed: [...placed].map(([slot, port]) => ({ slot, port })),
  }
}
