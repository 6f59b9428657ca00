import type { z } from 'zod'
import type { claimInput, kindsInput, partInput, strikeInput } from '../../../contract/rows.ts'
import { toCorePart } from '../../../contract/wire.ts'
import { sameInside } from '../../../core/identity/same-inside.ts'
import { isCouplingKind } from '../../../core/pairing/coupling.ts'
import { asStored, isPlaced } from '../../../core/patterns/as-stored.ts'
import { contradictionIn } from '../../../core/ports/contradictions.ts'
import {
  canBe,
  compileField,
  defaultPmOf,
  type Field,
  type FieldWords,
  faultIn,
} from '../../../core/ports/field.ts'
import {
  compilePart,
  fieldOf,
  fieldsOf,
  PORT_KIND_NAMES,
  PORT_KINDS,
  type PortKindName,
} from '../../../core/ports/index.ts'
import { parseFields, printTyped } from '../../../core/ports/parse.ts'
import { typedPorts } from '../../../core/ports/part-kinds.ts'
import type { Looks } from '../../../core/ports/port.ts'
import { unusualWords } from '../../../core/ports/ranges.ts'
import { whyBefore } from '../../../core/quantity/claim.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import { METHODS } from '../../../core/quantity/methods.ts'
import { QuantityError, type Units } from '../../../core/quantity/units.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { addNumber, addSupersession } from '../numbers/number-claims.ts'
import { numbersOfPart } from '../numbers/numbers-of-part.ts'
import { toClaim, toCoreParts } from '../shop/core-parts.ts'
import { shopDay } from '../shop/day.ts'
import { fieldWords } from './catalogue.ts'
import { insertPort, onePart, rebuildPortValues } from './one-part.ts'
import { partOfType } from './part-of-type.ts'
import { usedIn } from './used-in.ts'

export type PartInput = z.infer<typeof partInput>

/** Pattern families that parts of the catalogue name. */
export async function familiesOf(store: Store): Promise<{ id: string; words: string }[]> {
  const rows = (await store
    .knex('portValue')
    .where({ field: 'family' })
    .whereNotNull('text')
    .distinct('text')
    .orderBy('text')) as { text: string }[]
  return rows.map(({ text }) => ({ id: text, words: text }))
}

/** A part whole: ports with every field, its chosen value and all claims, numbers and supersessions. */
export async function partDetail(store: Store, id: string, buildId?: string) {
  const part = await store.get('part', id)
  const ports = await store.list('port', { partId: id })
  const claims = await store.listIn(
    'claim',
    'portId',
    ports.map((port) => port.id),
  )
  const specimen = buildId ? (await store.list('specimen', { buildId, partId: id }))[0] : undefined
  const compiled = compilePart(toCoreParts([part], ports, claims)[0]!, specimen?.id)
  return {
    ...part,
    ...(await numbersOfPart(store, id)),
    usedIn: [...((await usedIn(store, [id])).get(id) ?? [])],
    ports: [...compiled.ports]
      .sort((p, q) => PORT_KIND_NAMES.indexOf(p.kind) - PORT_KIND_NAMES.indexOf(q.kind))
      .map((port) => ({
        id: port.id,
        kind: port.kind,
        slot: port.slot,
        looks: port.looks,
        title: PORT_KINDS[port.kind].title,
        fields: Object.entries(fieldsOf(port.kind)).map(([name, words]) =>
          describeField(
            name,
            words,
            fieldOf(port, name)!,
            claims.filter((claim) => claim.portId === port.id && claim.field === name),
            specimen?.id,
          ),
        ),
      })),
  }
}

function describeField(
  name: string,
  words: ReturnType<typeof fieldWords> & {},
  field: Field<unknown>,
  claims: readonly RowOf<'claim'>[],
  specimen: string | undefined,
) {
  return {
    name,
    label: words.label,
    unit: words.unit,
    type: words.type,
    choices: words.choices ?? null,
    minutes: words.minutes,
    methods: words.methods.map((method) => ({ id: method, ...METHODS[method] })),
    value: field.claim === null ? null : field.v,
    plusMinus: Number.isFinite(field.pm) ? field.pm : null,
    grade: GRADES[field.grade] ?? null,
    conflict: field.conflict,
    claims: claims.map((claim) => ({
      ...claim,
      used: claim.id === field.claim,
      isImpossible: !canBe(words, claim.value),
      thisVeryPart: specimen !== undefined && claim.specimenId === specimen,
      shown: printTyped(words, claim.value),
    })),
  }
}

/** Adds a part with ports, numbers and supersessions, whole or not at all. */
export async function createPart(store: Store, input: PartInput): Promise<RowOf<'part'>> {
  return store.transaction(async (tx) => {
    const { ports = [], numbers = [], supersessions = [], said = {}, ...row } = input
    if (row.ownerId) await tx.get('part', row.ownerId)
    // One default per kind and owner: the newest typed steps back unless told otherwise.
    const others =
      row.ownerId && isCouplingKind(row.kind)
        ? await tx.list('part', { ownerId: row.ownerId, kind: row.kind, isDefault: true })
        : []
    const isDefault = row.isDefault ?? others.length === 0
    if (isDefault)
      for (const other of others)
        await tx.update('part', other.id, other.version, { isDefault: false })
    const part = row.template
      ? await partOfType(tx, { ...row, isDefault })
      : await tx.insert('part', { ...row, isDefault })
    const ofType = new Set((await tx.list('port', { partId: part.id })).map(({ id }) => id))
    for (const port of toCorePart({ id: part.id, kind: row.kind, ports }).ports) {
      if (!ofType.has(port.id)) await insertPort(tx, part.id, port)
      for (const [field, claims] of Object.entries(port.claims))
        for (const claim of claims)
          await tx.insert('claim', {
            portId: port.id,
            field,
            value: claim.value,
            plusMinus: claim.plusMinus ?? null,
            grade: claim.grade === 'heard' ? (said.grade ?? 'heard') : claim.grade,
            method: claim.method ?? null,
            source: said.source ?? null,
            saidBy: said.by ?? null,
            day: said.day ?? null,
            typed: claim.typed ?? printTyped(fieldWords(port.kind, field)!, claim.value),
          })
    }
    for (const one of numbers)
      await addNumber(tx, part.id, { ...one, grade: one.grade ?? said.grade ?? 'heard' })
    for (const one of supersessions) await addSupersession(tx, one)
    await rebuildPortValues(tx, part.id)
    return part
  })
}

/** Sets the kinds of many parts, all or none. @throws MissingError · ConflictError naming the first that was changed meanwhile */
export const setKinds = (
  store: Store,
  { parts }: z.infer<typeof kindsInput>,
): Promise<{ changed: number }> =>
  store.transaction(async (tx) => {
    for (const { id, version, ...said } of parts) await tx.update('part', id, version, said)
    return { changed: parts.length }
  })

/** Writes one claim on the port that owns the field, making the port (and this build's specimen) when it is the first. */
export async function addClaim(
  store: Store,
  input: z.infer<typeof claimInput>,
): Promise<RowOf<'claim'> & { notUsed: string | null }> {
  return store.transaction(async (tx) => {
    const { partId, kind, slot } = splitPort(input.portId)
    const part = await tx.get('part', partId)
    const words = fieldWords(kind, input.field)
    if (!words) throw new UnprocessableError(`A ${kind} has no field "${input.field}".`)
    const looks = await looksOf(tx, input.portId, part.kind, kind, slot)
    const values = await readValues(tx, kind, input, looks)
    if (input.method && !Object.hasOwn(METHODS, input.method))
      throw new UnprocessableError(
        `"${input.method}" is not a method. Use one of ${Object.keys(METHODS).join(', ')}.`,
      )
    const port =
      (await tx.find('port', input.portId)) ??
      (await tx.insert('port', {
        id: input.portId,
        partId,
        kind,
        slot,
        looks:
          typedPorts(String(part.kind)).find((one) => one.kind === kind && one.slot === slot)
            ?.looks ?? null,
      }))
    let specimenId: string | null = null
    if (input.thisVeryPart) {
      if (!input.build) throw new UnprocessableError('Say in which build this very part is.')
      const held = (await tx.list('specimen', { buildId: input.build, partId }))[0]
      specimenId = (
        held ??
        (await tx.insert('specimen', { buildId: input.build, partId, name: 'In this build' }))
      ).id
    }
    const claims: RowOf<'claim'>[] = []
    const today = await shopDay(tx)
    for (const [field, value] of Object.entries(values))
      claims.push(
        await tx.insert('claim', {
          portId: port.id,
          field,
          value,
          plusMinus: input.plusMinus ?? null,
          grade: input.grade,
          method: input.method ?? null,
          source: input.source ?? null,
          saidBy: input.by ?? null,
          day: input.day ?? today,
          specimenId,
          typed: input.typed ?? printTyped(fieldWords(kind, field)!, value),
        }),
      )
    const written = (await onePart(tx, partId)).ports.find(({ id }) => id === port.id)
    const against =
      written &&
      contradictionIn(
        written.kind,
        (field) => {
          const one = fieldOf(written, field)
          return one?.claim === null ? undefined : one?.v
        },
        Object.keys(values),
      )
    if (against)
      throw new UnprocessableError(against.words, [{ path: 'typed', message: against.words }])
    await rebuildPortValues(tx, partId)
    const taken = claims.find((claim) => claim.field === input.field) ?? claims[0]!
    return { ...taken, notUsed: await whyNotUsed(tx, words, taken) }
  })
}

/** Why what was just recorded is not what is leaned on, in words; null where it is. */
async function whyNotUsed(
  store: Store,
  words: NonNullable<ReturnType<typeof fieldWords>>,
  taken: RowOf<'claim'>,
): Promise<string | null> {
  const { portId, field } = taken
  const rows = (await store.list('claim', { portId, field })).filter((row) => !row.struckDay)
  const specimen = taken.specimenId ?? undefined
  const stands = compileField(
    rows.map(toClaim),
    { port: portId, part: '', partName: '', field, words },
    specimen,
  )
  const used = rows.find(({ id }) => id === stands.claim)
  if (!used || used.id === taken.id) return null
  const who = [used.saidBy, used.day, used.source].filter(Boolean).join(', ')
  return `Recorded, but ${printTyped(words, used.value)} stands (${used.grade}${who === '' ? '' : `: ${who}`}), for ${whyBefore(toClaim(used), toClaim(taken), specimen, defaultPmOf(words))}. Strike that out if it is wrong.`
}

/** Strikes a claim out: kept, with who did it and why, and never used again. @throws MissingError · ConflictError */
export async function strikeClaim(
  store: Store,
  id: string,
  { version, why, by }: z.infer<typeof strikeInput>,
): Promise<RowOf<'claim'>> {
  return store.transaction(async (tx) => {
    const struck = await tx.update('claim', id, version, {
      struckBy: by ?? null,
      struckWhy: why,
      struckDay: await shopDay(tx),
    })
    await rebuildPortValues(tx, splitPort(String(struck.portId)).partId)
    return struck
  })
}

/** Which way a port looks: as it is kept, or as such a one does. */
async function looksOf(
  store: Store,
  id: string,
  partKind: string,
  kind: PortKindName,
  slot: string,
): Promise<Looks | null> {
  const held = await store.find('port', id)
  const typed = typedPorts(partKind).find((one) => one.kind === kind && one.slot === slot)
  return (held?.looks as Looks | null | undefined) ?? typed?.looks ?? PORT_KINDS[kind].looks
}

/** What was typed or sent, by field: one, or two said whole. */
async function readValues(
  store: Store,
  kind: PortKindName,
  input: z.infer<typeof claimInput>,
  looks: Looks | null,
): Promise<Record<string, unknown>> {
  const units = ((await store.find('setting', 'units'))?.value ?? {}) as Units
  const fields = PORT_KINDS[kind].fields as Record<string, FieldWords<unknown>>
  try {
    const values =
      input.typed === undefined
        ? { [input.field]: input.value }
        : parseFields(fields, input.field, input.typed, { units, decimal: input.decimal })
    for (const [name, value] of Object.entries(values)) {
      const fault = faultIn(fields[name]!, value)
      if (fault !== null) throw new QuantityError(fault)
      values[name] = fields[name]!.schema.parse(value)
      const unusual = fields[name]!.range && unusualWords(fields[name]!.range, value)
      if (unusual && input.typed !== undefined && !input.isSo)
        throw new UnprocessableError(`${unusual} Look again; if it is so, say so.`, [
          { path: 'isSo', message: unusual },
        ])
      if (input.typed === undefined || looks !== 'forward' || !isPlaced(fields[name]!)) continue
      if (!input.view)
        throw new UnprocessableError(
          'This face looks forward: say whether it was seen looking at the face, or from the gearbox. A mirrored plate is a scrapped plate.',
          [{ path: 'view', message: 'Choose how the face was seen.' }],
        )
      values[name] = asStored(values[name], input.view)
    }
    return values
  } catch (error) {
    if (error instanceof QuantityError)
      throw new UnprocessableError(error.message, [{ path: 'typed', message: error.message }])
    throw error
  }
}

function splitPort(id: string): { partId: string; kind: PortKindName; slot: string } {
  const [partId, kind, ...slot] = id.split('/')
  if (!partId || partId === '?' || !kind || !Object.hasOwn(PORT_KINDS, kind))
    throw new UnprocessableError(
      partId === '?'
        ? 'That piece is not named yet: add it in Catalogue first, then measure it.'
        : `"${id}" is not a port id (part/kind/slot).`,
    )
  return { partId, kind: kind as PortKindName, slot: slot.join('/') || 'main' }
}

/** Two transmissions compared by what is measured inside them. @throws MissingError where one is not in the catalogue */
export async function compareInside(
  store: Store,
  one: string,
  other: string,
): Promise<ReturnType<typeof sameInside>> {
  return sameInside(await onePart(store, one), await onePart(store, other))
}
