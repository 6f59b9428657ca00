import { couplingSet } from '../core/pairing/coupling.ts'
import type { Train } from '../core/pairing/train.ts'
import { type CompiledPart, compilePart } from '../core/ports/index.ts'
import type { Claim } from '../core/quantity/claim.ts'
import { demoDocument } from './index.ts'

const { tables } = demoDocument()
const CLAIMS = tables.claim as unknown[] as (Claim & { portId: string; field: string })[]
/** Parts of the demo as they are stored. */
export const DEMO_ROWS = tables.part as {
  id: string
  kind: string
  name: string
  ownerId?: string
}[]
/** Parts of the demo, compiled, by id. */
export const DEMO_PARTS = new Map<string, CompiledPart>(
  DEMO_ROWS.map((row) => {
    const ports = tables
      .port!.filter((port) => port.partId === row.id)
      .map((port) => {
        const claims: Record<string, Claim[]> = {}
        for (const claim of CLAIMS.filter((one) => one.portId === port.id))
          (claims[claim.field] ??= []).push(claim)
        return {
          id: String(port.id),
          kind: String(port.kind),
          slot: String(port.slot),
          looks: port.looks as 'forward' | undefined,
          claims,
        }
      })
    return [row.id, compilePart({ ...row, ports })]
  }),
)
/** What was sold with a part of the demo. */
export const demoOwned = (owner: string): CompiledPart[] =>
  DEMO_ROWS.filter((row) => row.ownerId === owner).map((row) => DEMO_PARTS.get(row.id)!)

/** A pairing of the demo with what it was sold with. */
export function demoTrain(
  engine: string,
  transmission: string,
  recipient = 'packet',
  transfer: string | null = null,
): Train {
  const box = DEMO_PARTS.get(transmission)!
  return {
    engine: DEMO_PARTS.get(engine)!,
    transmission: box,
    recipient: DEMO_PARTS.get(recipient)!,
    transfer: transfer === null ? null : DEMO_PARTS.get(transfer)!,
    coupling: couplingSet(box, demoOwned(engine), demoOwned(transmission)).parts,
    inserted: [],
  }
}
