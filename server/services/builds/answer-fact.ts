import type { z } from 'zod'
import type { factInput } from '../../../contract/rows.ts'
import { FACT_ROWS, type FactKey } from '../../../core/facts/index.ts'
import { isAsked, ownerOf } from '../../../core/facts/place-of.ts'
import { KEPT_FACTS, STOPPER_FACTS } from '../../../core/needs/build-facts.ts'
import { PORT_KINDS } from '../../../core/ports/index.ts'
import type { Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { addClaim } from '../catalogue/parts.ts'
import { joinSheet } from './build-sheets.ts'
import { answerStopper } from './joint-claims.ts'

/** Facts that the brief's sheet asks under another name. */
const BRIEF: Partial<Record<FactKey, string>> = {
  'can.weld': 'tool:weld',
  'can.machine': 'tool:machine',
  'can.flash': 'tool:flash',
  'can.hoist': 'tool:hoist',
  'build.bolt-in': 'bolt-in',
  'build.uncut': 'uncut',
}

/**
 * Answers one question of a build where it is kept: on the part it speaks of, in the brief, as a stopper, or for this build
 * alone.
 *
 * @throws UnprocessableError where it is no value of it, or is only measured
 */
export async function answerFact(
  store: Store,
  buildId: string,
  { key, value, by }: z.infer<typeof factInput>,
): Promise<{ key: string; value: string }> {
  const fact = key as FactKey
  if (!isAsked(fact)) refuse('key', `${key} is read off what is measured: it is not typed.`)
  if (value !== DONT_KNOW && !FACT_ROWS[fact].values.includes(value))
    refuse(
      'value',
      `${key} is never "${value}". It is one of ${FACT_ROWS[fact].values.join(', ')}.`,
    )
  const said = (answers: Record<string, string>): Parameters<typeof joinSheet>[3] =>
    Object.fromEntries(
      Object.entries(answers).map(([id, one]) => [
        id,
        { value: one, at: new Date().toISOString(), by: by ?? null },
      ]),
    )
  await store.transaction(async (tx) => {
    const build = await tx.get('build', buildId)
    const kept = Object.entries(KEPT_FACTS).find(([, one]) => one === fact)?.[0]
    const stopper = Object.entries(STOPPER_FACTS).find(([, one]) => one === fact)?.[0]
    const part = await partOf(tx, buildId, fact)
    if (kept) {
      const others = build.mustWork.filter((one) => one !== kept)
      await tx.update('build', buildId, build.version, {
        mustWork: value === 'yes' ? [...others, kept as (typeof others)[number]] : others,
      })
    } else if (fact === 'build.place' && value !== DONT_KNOW)
      await tx.update('build', buildId, build.version, { school: value as 'keep' | 'set-back' })
    else if (stopper)
      await answerStopper(tx, buildId, {
        question: stopper,
        says: value === DONT_KNOW ? 'unknown' : (value as 'yes' | 'no'),
        saidBy: by ?? null,
      })
    else if (BRIEF[fact])
      await joinSheet(tx, 'buildSheet', { buildId, kind: 'brief' }, said({ [BRIEF[fact]!]: value }))
    else if (part && value !== DONT_KNOW)
      await addClaim(tx, {
        portId: `${part}/${ownerOf(fact)}-traits/main`,
        field: fact.slice(fact.indexOf('.') + 1),
        value,
        grade: 'heard',
        decimal: 'point',
        thisVeryPart: false,
        source: 'Answered in a build',
        by: by ?? null,
      })
    else await joinSheet(tx, 'buildSheet', { buildId, kind: 'facts' }, said({ [key]: value }))
  })
  return { key, value }
}

/** Says that nobody knows. */
export const DONT_KNOW = 'unknown'

function refuse(path: string, message: string): never {
  throw new UnprocessableError(message, [{ path, message }])
}

/** The part that a fact is a trait of, in the pairing chosen; null where it speaks of this build. */
async function partOf(tx: Store, buildId: string, key: FactKey): Promise<string | null> {
  const owner = ownerOf(key)
  if (owner !== 'vehicle' && owner !== 'engine' && owner !== 'gearbox') return null
  const { fields } = PORT_KINDS[`${owner}-traits`]
  if (!Object.hasOwn(fields, key.slice(key.indexOf('.') + 1))) return null
  if (owner === 'vehicle') return (await tx.get('build', buildId)).recipientId ?? null
  const chosen = (await tx.list('pairing', { buildId })).find((row) => row.chosen === true)
  return (owner === 'engine' ? chosen?.engineId : chosen?.transmissionId) ?? null
}
