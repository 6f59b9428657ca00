import type { z } from 'zod'
import type { startInput } from '../../../contract/rows.ts'
import { FACT_ROWS, type FactKey } from '../../../core/facts/index.ts'
import { rateBetween } from '../../../core/money/offer-price.ts'
import { ROW_CURRENCY } from '../../../core/needs/line.ts'
import { fieldsOfAnswer } from '../../../core/pairing/stopper-fields.ts'
import type { StopperSays } from '../../../core/pairing/stoppers.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import type { SheetAnswers } from '../../../core/sheets/sheet.ts'
import { TEMPLATE_SOURCE } from '../../../core/templates/index.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { joinSheet } from '../builds/build-sheets.ts'
import { answerStopper } from '../builds/joint-claims.ts'
import { onePart } from '../catalogue/one-part.ts'
import { partOfType } from '../catalogue/part-of-type.ts'
import { addClaim } from '../catalogue/parts.ts'
import { shopDay } from '../shop/day.ts'
import { toRate } from '../shop/rate.ts'
import { chooseCoupling, takePairing } from './pairing-choice.ts'

type Start = z.infer<typeof startInput>
type Choice = NonNullable<Start['engine']>

/** Wide enough for a figure said from memory. */
const SAID_MASS_KG = 100
/** Share of the mass on the driven axle when laden (common practice), and how far it may be off. */
const LADEN_SHARE = 0.65

/** Ranges of kinds exist in the build's currency: by a rate the shop has, or the one typed now. @throws UnprocessableError without either */
async function rangesIn(tx: Store, { currency, euroRate }: Start): Promise<void> {
  if (rateBetween((await tx.list('rate')).map(toRate), ROW_CURRENCY, currency) !== null) return
  if (!euroRate) {
    const message = `What parts usually cost is known in euros. Type what one euro is in ${currency}.`
    throw new UnprocessableError(message, [{ path: 'euroRate', message }])
  }
  await tx.insert('rate', {
    fromCurrency: ROW_CURRENCY,
    toCurrency: currency,
    rate: euroRate,
    day: await shopDay(tx),
    source: 'Typed at the start of a build',
  })
}

/** Starts a build from what is known after two minutes: parts from templates or the catalogue, answers, and the pairing; whole or not at all. */
export async function startBuild(store: Store, input: Start): Promise<RowOf<'build'>> {
  return store.transaction(async (tx) => {
    await rangesIn(tx, input)
    const recipient = await pick(tx, input.recipient, 'vehicle', null)
    if (recipient && input.tyre)
      await say(tx, recipient, 'tyre/main', 'marking', input.tyre.toUpperCase())
    if (recipient && input.massKg) {
      const row = await tx.get('part', recipient)
      await tx.update('part', row.id, row.version, { massG: Math.round(input.massKg * 1000) })
      await assume(
        tx,
        recipient,
        'axle/main',
        'ladenKg',
        Math.round(input.massKg * LADEN_SHARE),
        Math.round(SAID_MASS_KG * LADEN_SHARE + input.massKg * 0.1),
      )
    }
    const keepsEngine = input.facts['build.engine'] === 'kept'
    const engine = await pick(tx, input.engine, 'engine', keepsEngine ? recipient : null)
    const transmission = await pick(
      tx,
      input.transmission,
      'transmission',
      input.transmission?.isRecipients ? recipient : null,
    )
    const transfer = input.transfer
      ? await pick(
          tx,
          input.transfer,
          'transfer-case',
          input.transfer.isRecipients ? recipient : null,
        )
      : null
    const { name, currency, labourRateMinor, use, mustWork, stoppers } = input
    const build = await tx.insert('build', {
      name,
      currency,
      recipientId: recipient,
      use: use ?? null,
      labourRateMinor,
      taxRate: 0,
      contingency: 0,
      mustWork,
      inspection: stoppers.law === 'no' ? true : null,
      school: 'keep',
    })
    for (const [question, says] of Object.entries(stoppers))
      if (says) await answerStopper(tx, build.id, { question, says, saidBy: input.saidBy ?? null })
    await joinSheet(tx, 'buildSheet', { buildId: build.id, kind: 'facts' }, saidOf(input))
    if (!engine || !transmission) return build
    // Nothing is put in yet: what would close it is found when it is first looked at.
    await takePairing(tx, build.id, { engineId: engine, transmissionId: transmission }, [])
    if (transfer)
      await chooseCoupling(tx, build.id, {
        engineId: engine,
        transmissionId: transmission,
        kind: 'transfer-case',
        partId: transfer,
      })
    await decideByAnswers(tx, { engine, transmission, recipient, transfer }, stoppers, input.saidBy)
    return build
  })
}

/** Facts answered at the start, and what follows from what stays. @throws UnprocessableError where one is no value of it */
function saidOf({ facts, transmission, saidBy }: Start): SheetAnswers {
  const keepsEngine = facts['build.engine'] === 'kept'
  const said: Record<string, string> = {
    ...facts,
    'build.box': transmission?.isRecipients ? 'own' : keepsEngine ? 'apart' : 'with-engine',
    ...(keepsEngine ? { 'donor.kind': 'none' } : {}),
  }
  for (const [key, value] of Object.entries(said))
    if (!FACT_ROWS[key as FactKey].values.includes(value))
      throw new UnprocessableError(`${key} is never "${value}".`, [
        { path: `facts.${key}`, message: `One of ${FACT_ROWS[key as FactKey].values.join(', ')}.` },
      ])
  const at = new Date().toISOString()
  return Object.fromEntries(
    Object.entries(said).map(([key, value]) => [key, { value, at, by: saidBy ?? null }]),
  )
}

/** What the answers decide of the pairing is written on its fields, as hearsay. */
async function decideByAnswers(
  tx: Store,
  ids: { engine: string; transmission: string; recipient: string | null; transfer: string | null },
  stoppers: Start['stoppers'],
  by?: string | null,
): Promise<void> {
  const transferId =
    ids.transfer ??
    (await ownTransfer(tx, ids.transmission)) ??
    (ids.recipient ? await ownTransfer(tx, ids.recipient) : null)
  const [engine, transmission] = [
    await onePart(tx, ids.engine),
    await onePart(tx, ids.transmission),
  ]
  const [recipient, transfer] = [
    ids.recipient ? await onePart(tx, ids.recipient) : null,
    transferId ? await onePart(tx, transferId) : null,
  ]
  for (const [question, says] of Object.entries(stoppers))
    for (const { part, port, field, value } of fieldsOfAnswer(question, says as StopperSays, {
      engine,
      transmission,
      recipient,
      transfer,
    }))
      await say(tx, part, port, field, value, by)
}

/** The transfer case that came with a gearbox or a vehicle. */
const ownTransfer = async (tx: Store, ownerId: string): Promise<string | null> =>
  (await tx.list('part', { kind: 'transfer-case', ownerId }))[0]?.id ?? null

/** The part of a choice: one of the catalogue, or made from its template or its pattern family. */
async function pick(
  tx: Store,
  choice: Choice | null | undefined,
  kind: 'engine' | 'transmission' | 'vehicle' | 'transfer-case',
  ownerId: string | null,
): Promise<string | null> {
  if (!choice) return null
  if (choice.partId) {
    const part = await tx.get('part', choice.partId)
    if (part.kind !== kind)
      throw new UnprocessableError(
        `${part.name} is a ${kindWords(String(part.kind)).toLowerCase()}, not a ${kindWords(kind).toLowerCase()}.`,
        [{ path: kind, message: 'Another kind of part.' }],
      )
    return part.id
  }
  if (!choice.template && !choice.family) return null
  const { template, family, year, name } = choice
  const { id } = await partOfType(tx, {
    kind,
    template,
    family,
    year,
    name: name ?? undefined,
    ownerId,
  })
  return id
}

const say = (
  tx: Store,
  partId: string,
  port: string,
  field: string,
  value: unknown,
  by?: string | null,
): Promise<RowOf<'claim'>> =>
  addClaim(tx, {
    portId: `${partId}/${port}`,
    field,
    value,
    decimal: 'ask',
    grade: 'heard',
    thisVeryPart: false,
    by: by ?? null,
    source: 'Said at the start',
  })

const assume = (
  tx: Store,
  partId: string,
  port: string,
  field: string,
  value: number,
  plusMinus: number,
): Promise<RowOf<'claim'>> =>
  addClaim(tx, {
    portId: `${partId}/${port}`,
    field,
    value,
    plusMinus,
    decimal: 'ask',
    grade: 'assumed',
    thisVeryPart: false,
    source: `${TEMPLATE_SOURCE}: from the mass`,
  })
