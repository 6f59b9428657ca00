import type { z } from 'zod'
import type { sheetInput } from '../../../contract/rows.ts'
import { SHEET_KINDS, type SheetKind } from '../../../core/brief/questions.ts'
import { type Joined, joinAnswers, type SheetAnswers } from '../../../core/sheets/sheet.ts'
import type { Store } from '../../database/store.ts'
import { MissingError, UnprocessableError } from '../../errors.ts'

/** Sheets with fixed questions, and the cautions that somebody ticked as seen. */
const KINDS = [...(Object.keys(SHEET_KINDS) as SheetKind[]), 'cautions'] as const
type Kind = (typeof KINDS)[number]

function kindOf(kind: string): Kind {
  if (!(KINDS as readonly string[]).includes(kind))
    throw new MissingError(`There is no sheet "${kind}". There are: ${KINDS.join(', ')}.`)
  return kind as Kind
}

/** The answers of one sheet of a build. */
export async function sheetAnswers(
  store: Store,
  buildId: string,
  kind: string,
): Promise<SheetAnswers> {
  await store.get('build', buildId)
  return ((await store.list('buildSheet', { buildId, kind: kindOf(kind) }))[0]?.answers ??
    {}) as SheetAnswers
}

/** Joins answers into a sheet of a build, question by question. */
export async function answerBuildSheet(
  store: Store,
  buildId: string,
  name: string,
  { answers }: z.infer<typeof sheetInput>,
): Promise<Joined> {
  const kind = kindOf(name)
  const asked =
    kind === 'cautions'
      ? null
      : new Set(SHEET_KINDS[kind].flatMap((step) => step.questions.map((question) => question.id)))
  for (const id of Object.keys(answers))
    if (asked && !asked.has(id))
      throw new UnprocessableError(`"${id}" is not a question of this sheet.`, [
        { path: `answers.${id}`, message: 'Not a question of this sheet.' },
      ])
  return store.transaction((tx) => joinSheet(tx, 'buildSheet', { buildId, kind }, answers))
}

type SheetTable = 'buildSheet' | 'donorSheet' | 'matingCard'

/** Joins answers into the row of a sheet, made when first something is said: late or twice does no harm. */
export async function joinSheet(
  tx: Store,
  table: SheetTable,
  key: { readonly buildId: string } & Readonly<Record<string, string>>,
  answers: SheetAnswers,
): Promise<Joined> {
  await tx.get('build', key.buildId)
  const held = (await tx.list(table, key))[0]
  const before = held?.answers ?? {}
  const joined = joinAnswers(before, answers, new Date().toISOString())
  if (!held) await tx.insert(table, { ...key, answers: joined.answers })
  else if (JSON.stringify(joined.answers) !== JSON.stringify(before))
    await tx.update(table, held.id, held.version, { answers: joined.answers })
  return joined
}
