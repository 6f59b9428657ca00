import { groupBy } from '../../../core/group.ts'
import { isPortKind } from '../../../core/ports/index.ts'
import type { Part, Port } from '../../../core/ports/port.ts'
import type { Claim } from '../../../core/quantity/claim.ts'
import type { RowOf } from '../../database/row.ts'

/** Rows to the core's parts: claims that stand, gathered under their ports. */
export function toCoreParts(
  parts: readonly RowOf<'part'>[],
  ports: readonly RowOf<'port'>[],
  claims: readonly RowOf<'claim'>[],
): Part[] {
  const claimsOf = groupBy(
    claims.filter((row) => !row.struckDay),
    (row) => row.portId,
  )
  const portsOf = groupBy(ports, (row) => row.partId)
  return parts.map((part) => ({
    id: part.id,
    kind: String(part.kind),
    name: String(part.name),
    ports: (portsOf.get(part.id) ?? [])
      .filter((port) => isPortKind(String(port.kind)))
      .map((port): Port => {
        const byField = [...groupBy(claimsOf.get(port.id) ?? [], (row) => row.field)].map(
          ([field, rows]): [string, Claim[]] => [field, rows.map(toClaim)],
        )
        return {
          id: port.id,
          kind: String(port.kind),
          slot: String(port.slot),
          ...(port.looks ? { looks: port.looks as 'forward' } : {}),
          claims: Object.fromEntries(byField),
        }
      }),
  }))
}

export function toClaim(row: RowOf<'claim'>): Claim {
  const optional = Object.entries({
    plusMinus: row.plusMinus,
    method: row.method,
    source: row.source,
    by: row.saidBy,
    on: row.day,
    specimen: row.specimenId,
    typed: row.typed,
  }).filter(([, value]) => value !== null && value !== undefined)
  return {
    id: row.id,
    value: row.value,
    grade: row.grade as Claim['grade'],
    ...Object.fromEntries(optional),
  }
}
