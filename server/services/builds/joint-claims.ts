import type { z } from 'zod'
import type { jointClaimInput, stopperInput } from '../../../contract/rows.ts'
import { jointNamed } from '../../../core/joints/index.ts'
import { STOPPERS } from '../../../core/pairing/stoppers.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { shopDay } from '../shop/day.ts'

/** Records what somebody says of a joint, a kit or a finished build, whole. */
export async function addJointClaim(
  store: Store,
  input: z.infer<typeof jointClaimInput>,
): Promise<RowOf<'jointClaim'>> {
  return store.transaction(async (tx) => {
    if (input.joint && !jointNamed(input.joint))
      throw new UnprocessableError(`"${input.joint}" is not a joint.`, [
        { path: 'joint', message: 'Not a joint.' },
      ])
    if (input.engineId) await tx.get('part', input.engineId)
    if (input.transmissionId) await tx.get('part', input.transmissionId)
    if (input.kitId) await tx.get('kit', input.kitId)
    return tx.insert('jointClaim', { ...input, day: input.day ?? (await shopDay(tx)) })
  })
}

/** The twelve stopper questions of a build with their answers. */
export async function listStoppers(store: Store, buildId: string) {
  const rows = await store.list('jointClaim', { buildId, subject: 'stopper' })
  return STOPPERS.map((stopper) => {
    const row = rows.find((one) => one.question === stopper.id)
    return {
      ...stopper,
      says: row?.says ?? null,
      saidBy: row?.saidBy ?? null,
      day: row?.day ?? null,
    }
  })
}

/** Answers one stopper question; the answer stays as a claim. */
export async function answerStopper(
  tx: Store,
  buildId: string,
  { question, says, saidBy }: z.infer<typeof stopperInput>,
): Promise<RowOf<'jointClaim'>> {
  await tx.get('build', buildId)
  const day = await shopDay(tx)
  const held = (await tx.list('jointClaim', { buildId, subject: 'stopper', question }))[0]
  if (held)
    return tx.update('jointClaim', held.id, held.version, { says, saidBy: saidBy ?? null, day })
  return tx.insert('jointClaim', {
    buildId,
    subject: 'stopper',
    question,
    joint: STOPPERS.find((one) => one.id === question)?.joint ?? null,
    says,
    grade: 'heard',
    saidBy: saidBy ?? null,
    day,
  })
}
