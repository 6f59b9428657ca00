import type { z } from 'zod'
import type {
  applicationInput,
  generationInput,
  interchangeInput,
  NumberClaimTable,
  numberInput,
  supersessionInput,
} from '../../../contract/number-inputs.ts'
import type { strikeInput } from '../../../contract/rows.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { shopDay } from '../shop/day.ts'
import { keyFor } from './issuers.ts'

type Said = Pick<
  z.output<typeof numberInput>,
  'grade' | 'source' | 'by' | 'day' | 'photoId' | 'scope'
>

/** Finds an issuer by name or makes it with the default rule. */
export async function issuerNamed(store: Store, name: string): Promise<RowOf<'issuer'>> {
  return (await store.list('issuer', { name }))[0] ?? (await store.insert('issuer', { name }))
}

/** A number as its issuer writes it. @throws UnprocessableError where nothing of it is left */
async function written(
  store: Store,
  { issuer, number }: { readonly issuer: string; readonly number: string },
): Promise<{ issuerId: string; number: string; normalised: string }> {
  const by = await issuerNamed(store, issuer)
  const normalised = keyFor(by, number)
  if (normalised === '')
    throw new UnprocessableError(
      `"${number}" has nothing left once what means nothing to ${issuer} is dropped. Write the part number.`,
      [{ path: 'number', message: 'Write the part number.' }],
    )
  return { issuerId: by.id, number, normalised }
}

const saidOf = async (store: Store, said: Said) => ({
  grade: said.grade,
  source: said.source ?? null,
  saidBy: said.by ?? null,
  day: said.day ?? (await shopDay(store)),
  photoId: said.photoId ?? null,
  scope: said.scope ?? null,
})

/**
 * A number of a part, as a claim. What another part bears in a catalogue is asked about once; both are kept then, in conflict
 * until one is struck out.
 * @throws UnprocessableError
 */
export async function addNumber(
  store: Store,
  partId: string,
  input: z.output<typeof numberInput>,
): Promise<RowOf<'partNumber'>> {
  await store.get('part', partId)
  const number = await written(store, input)
  const borne = (
    await store.list('partNumber', { issuerId: number.issuerId, normalised: number.normalised })
  ).filter((row) => row.mark === 'catalogue' && row.struckDay === null)
  const others = borne.filter((row) => row.partId !== partId)
  if (input.mark === 'catalogue' && others[0] && !input.isSo) {
    const { name } = await store.get('part', others[0].partId)
    throw new UnprocessableError(
      `${input.issuer} ${input.number} is already the number of ${name}. Use another number, add the offer to that part, or say that both bear it: it counts as a conflict then.`,
      [{ path: 'isSo', message: `${name} bears it already.` }],
    )
  }
  return store.insert('partNumber', {
    partId,
    ...number,
    mark: input.mark,
    again: borne.length > 0,
    ...(await saidOf(store, input)),
  })
}

/** Numbers replaced by others: one by one, one by several or several by one. */
export async function addSupersession(
  store: Store,
  input: z.output<typeof supersessionInput>,
): Promise<RowOf<'supersession'>> {
  return store.transaction(async (tx) => {
    const sides = await Promise.all(
      (['old', 'new'] as const).map(async (side) => {
        const numbers = []
        for (const one of input[side])
          numbers.push({ ...(await written(tx, one)), side, quantity: one.quantity })
        return numbers
      }),
    )
    const row = await tx.insert('supersession', {
      back: input.back,
      since: input.since ?? null,
      until: input.until ?? null,
      ...(await saidOf(tx, input)),
    })
    for (const one of sides.flat())
      await tx.insert('supersessionNumber', { supersessionId: row.id, ...one })
    return row
  })
}

/** Numbers that serve for one another, or do not. */
export async function addInterchange(
  store: Store,
  { members, serves, ...said }: z.output<typeof interchangeInput>,
): Promise<RowOf<'interchange'>> {
  return store.transaction(async (tx) => {
    const row = await tx.insert('interchange', { serves, ...(await saidOf(tx, said)) })
    for (const { way, scope, ...number } of members)
      await tx.insert('interchangeNumber', {
        interchangeId: row.id,
        ...(await written(tx, number)),
        way,
        scope: scope ?? null,
      })
    return row
  })
}

/** What a number fits, or does not. */
export async function addApplication(
  store: Store,
  { issuer, number, fits, ...said }: z.output<typeof applicationInput>,
): Promise<RowOf<'application'>> {
  return store.transaction(async (tx) =>
    tx.insert('application', {
      ...(await written(tx, { issuer, number })),
      fits,
      ...(await saidOf(tx, said)),
    }),
  )
}

/** A break in a family: from when to when it was built, and what tells it. @throws ConflictError where it is there */
export const addGeneration = (
  store: Store,
  input: z.output<typeof generationInput>,
): Promise<RowOf<'generation'>> => store.insert('generation', input)

/** Strikes a claim out: kept, with who did it and why, and never used again. @throws MissingError · ConflictError */
export const strikeNumberClaim = (
  store: Store,
  table: NumberClaimTable,
  id: string,
  { version, why, by }: z.output<typeof strikeInput>,
) =>
  store.transaction(async (tx) =>
    tx.update(table, id, version, {
      struckBy: by ?? null,
      struckWhy: why,
      struckDay: await shopDay(tx),
    }),
  )
