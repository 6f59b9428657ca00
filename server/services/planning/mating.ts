import type { z } from 'zod'
import type { sheetInput } from '../../../contract/rows.ts'
import { isMatingQuestion, judgeMating, matingSteps } from '../../../core/mating/card.ts'
import { portOf } from '../../../core/ports/index.ts'
import type { Joined } from '../../../core/sheets/sheet.ts'
import type { Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { joinSheet } from '../builds/build-sheets.ts'
import { planBuild } from './planning.ts'

/** The mating card of the build's chosen pairing: its steps, the answers so far, and what they say. */
export async function matingCard(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const train = plan.run?.train
  if (!train) return { pairing: null, isAutomatic: false, steps: [], answers: {}, judgement: null }
  const isAutomatic = portOf(train.transmission, 'ratios').type.v === 'automatic'
  const card = (
    await store.list('matingCard', {
      buildId,
      engineId: train.engine.id,
      transmissionId: train.transmission.id,
    })
  )[0]
  const answers = card?.answers ?? {}
  return {
    pairing: `${train.engine.name} with ${train.transmission.name}`,
    isAutomatic,
    steps: matingSteps(isAutomatic),
    answers,
    judgement: judgeMating(answers, isAutomatic, plan.view.catalogue.tolerances),
  }
}

/** Joins answers into the card, question by question. */
export async function answerMating(
  store: Store,
  buildId: string,
  { answers }: z.infer<typeof sheetInput>,
): Promise<Joined> {
  return store.transaction(async (tx) => {
    for (const id of Object.keys(answers))
      if (!isMatingQuestion(id))
        throw new UnprocessableError(`"${id}" is not a question of the card.`, [
          { path: `answers.${id}`, message: 'Not a question of the card.' },
        ])
    const chosen = (await tx.list('pairing', { buildId, chosen: true }))[0]
    if (!chosen)
      throw new UnprocessableError(
        'Choose a pairing first: a card is of one engine with one gearbox.',
      )
    return joinSheet(
      tx,
      'matingCard',
      { buildId, engineId: chosen.engineId, transmissionId: chosen.transmissionId },
      answers,
    )
  })
}
