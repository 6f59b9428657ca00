import type { z } from 'zod'
import type { sheetInput } from '../../../contract/rows.ts'
import { dayIn } from '../../../core/day.ts'
import { DIMENSIONS, dimensionId } from '../../../core/recipient/dimensions.ts'
import { roomOfTrain } from '../../../core/recipient/room-of-train.ts'
import type { Joined, SheetAnswers } from '../../../core/sheets/sheet.ts'
import { figureIn } from '../../../core/train/stand-in-train.ts'
import type { Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { joinSheet } from '../builds/build-sheets.ts'
import { contextOf } from '../builds/build-view.ts'
import { addClaim, partDetail } from '../catalogue/parts.ts'
import { readSettings } from '../shop/settings.ts'
import { planBuild } from './planning.ts'

/** The recipient of a build as it is drawn: each dimension with what is known of it, and room for the chosen train. */
export async function recipientView(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const recipientId = plan.view.build.recipientId
  if (!recipientId)
    return {
      recipient: null,
      train: null,
      known: {},
      rooms: [],
      dropMm: null,
      keep: '',
      answers: {},
    }
  const detail = await partDetail(store, recipientId)
  const known = Object.fromEntries(
    DIMENSIONS.flatMap((dimension) => {
      const field = detail.ports
        .find(
          (port) =>
            `${port.kind}/${port.slot}` === dimension.port ||
            port.kind === dimension.port.split('/')[0],
        )
        ?.fields.find((one) => one.name === dimension.field)
      return field && field.value !== null && field.value !== undefined
        ? [[dimensionId(dimension), field]]
        : []
    }),
  )
  const train = plan.run?.train
  const vehicle = plan.view.catalogue.parts.get(recipientId)
  const { rooms, dropMm } = roomOfTrain(vehicle, train)
  const sheets = await store.list('buildSheet', { buildId })
  const answersOf = (kind: string) =>
    (sheets.find((row) => row.kind === kind)?.answers ?? {}) as SheetAnswers
  return {
    recipient: {
      id: detail.id,
      name: String(plan.view.catalogue.parts.get(recipientId)?.name ?? recipientId),
    },
    train: figureIn(vehicle ?? null, train ?? null, contextOf(plan.view).placement),
    known,
    rooms: train ? rooms : [],
    dropMm: train ? dropMm : null,
    keep: answersOf('brief')['keep-parts']?.value ?? '',
    answers: answersOf('recipient'),
  }
}

/**
 * Takes measurements off a card or a phone: each is kept once under `port.field@time`, and becomes a claim on the recipient
 * with its method. Sending late or twice does no harm; two people's measurements of one field stand side by side.
 *
 * @throws UnprocessableError where there is no recipient, no such dimension, or a value that cannot be read
 */
export async function answerRecipient(
  store: Store,
  buildId: string,
  { answers }: z.infer<typeof sheetInput>,
): Promise<Joined> {
  return store.transaction(async (tx) => {
    const build = await tx.get('build', buildId)
    if (!build.recipientId)
      throw new UnprocessableError('Say in the brief which vehicle is the recipient first.')
    const held = ((await tx.list('buildSheet', { buildId, kind: 'recipient' }))[0]?.answers ??
      {}) as SheetAnswers
    const { timeZone } = await readSettings(tx)
    const dimensions = new Map(DIMENSIONS.map((dimension) => [dimensionId(dimension), dimension]))
    const ports = await tx.list('port', { partId: build.recipientId })
    for (const [id, answer] of Object.entries(answers)) {
      const dimension = dimensions.get(id.split('@')[0]!)
      if (!dimension)
        throw new UnprocessableError(`"${id}" is not a dimension of the drawing.`, [
          { path: `answers.${id}`, message: 'Not a dimension of the drawing.' },
        ])
      if (held[id]) continue
      const kind = dimension.port.split('/')[0]
      const port =
        ports.find((one) => one.kind === kind)?.id ?? `${build.recipientId}/${dimension.port}`
      await addClaim(tx, {
        portId: port,
        field: dimension.field,
        typed: answer.value,
        decimal: 'point',
        // A card may come in days after it was filled: nobody is there to be asked.
        isSo: true,
        grade: 'measured',
        thisVeryPart: false,
        by: answer.by,
        day: dayIn(timeZone, new Date(answer.at)),
        ...(answer.method ? { method: answer.method } : {}),
      })
    }
    return joinSheet(tx, 'buildSheet', { buildId, kind: 'recipient' }, answers)
  })
}
