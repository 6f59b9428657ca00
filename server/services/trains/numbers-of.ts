import {
  type Application,
  type AskedFact,
  type AskedTarget,
  TARGETS,
  type TargetKind,
} from '../../../core/identity/claims.ts'
import type { KnownFacts } from '../../../core/needs/line-list.ts'
import type { NumbersOf } from '../../../core/sourcing/numbers-wanted.ts'
import type { RowOf } from '../../database/store.ts'
import type { BuildView } from '../builds/build-view.ts'
import { askedTarget } from '../numbers/asked-target.ts'
import type { PairingRun } from './pairing-run.ts'

/** What lists of numbers call facts that are asked for under another name here. */
const CALLED: Readonly<Record<string, string>> = {
  gearbox: 'gearbox.type',
  steering: 'vehicle.side',
  drivetrain: 'vehicle.driven',
}

/** A build as numbers see it: what came with its parts, what they are listed as, and numbers given to its lines by hand. */
export function numbersOf(
  { catalogue, build }: Pick<BuildView, 'catalogue' | 'build'>,
  run: PairingRun | null,
  facts: KnownFacts,
  decisions: readonly RowOf<'decision'>[],
): NumbersOf {
  const ids = run
    ? [run.train.engine.id, run.train.transmission.id, run.train.transfer?.id, build.recipientId]
    : [build.recipientId]
  const subjects = ids.flatMap((id) => (id ? (catalogue.rows.get(id) ?? []) : []))
  const { issuers, serving } = catalogue.trade
  const said: Record<string, AskedFact> = {}
  for (const key of serving.factKeys) {
    const fact = facts[(CALLED[key] ?? key) as keyof KnownFacts]
    if (fact) said[key] = { value: fact.value, grade: fact.isAssumed ? 'assumed' : 'measured' }
  }
  const targetOf = (kind: TargetKind): AskedTarget | undefined => {
    const row = subjects.find((one) => one.kind === kind)
    return row && askedTarget(row)
  }
  const application: Application = {
    ...Object.fromEntries(
      TARGETS.flatMap((kind) => {
        const target = targetOf(kind)
        return target ? [[kind, target]] : []
      }),
    ),
    facts: said,
  }
  return {
    own: subjects.flatMap(({ id }) =>
      [...catalogue.ownedBy(id)].sort((p, q) => Number(q.isDefault) - Number(p.isDefault)),
    ),
    application,
    given: new Map(
      decisions.flatMap(({ act, needId, issuerId, number }) =>
        act === 'number' && issuerId && number
          ? [[needId, { issuer: issuers.get(issuerId) ?? issuerId, number }]]
          : [],
      ),
    ),
  }
}
