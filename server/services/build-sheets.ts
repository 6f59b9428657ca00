import type { z } from 'zod'
import type { sheetInput } from '../../contract/rows.ts'
import { SHEET_KINDS, type SheetKind } from '../../core/brief/questions.ts'
import { mergeAnswers, type SheetAnswers } from '../../core/sheets/sheet.ts'
import type { Store } from '../database/store.ts'
import { MissingError, UnprocessableError } from '../errors.ts'

/** Sheets with fixed questions, and the cautions that somebody ticked as seen. */
const KINDS = [...(Object.keys(SHEET_KINDS) as SheetKind[]), 'cautions'] as const
type Kind = (typeof KINDS)[number]

function kindOf(kind: string): Kind {
  if (!(KINDS as readonly string[]).includes(kind)) throw new MissingError(`There is no sheet "${kind}". There are: ${KINDS.join(', ')}.`)
  return kind as Kind
}

/** The answers of one sheet of a build. */
export async function sheetAnswers(store: Store, buildId: string, kind: string): Promise<SheetAnswers> {
  await store.get('build', buildId)
  return ((await store.list('buildSheet', { buildId, kind: kindOf(kind) }))[0]?.answers ?? {}) as SheetAnswers
}

/** Joins answers into a sheet of a build, question by question. */
export async function answerBuildSheet(store: Store, buildId: string, name: string, { answers }: z.infer<typeof sheetInput>): Promise<{ answers: SheetAnswers }> {
  const kind = kindOf(name)
  const asked = kind === 'cautions' ? null : new Set(SHEET_KINDS[kind].flatMap((step) => step.questions.map((question) => question.id)))
  for (const id of Object.keys(answers))
    if (asked && !asked.has(id)) throw new UnprocessableError(`"${id}" is not a question of this sheet.`, [{ path: `answers.${id}`, message: 'Not a question of this sheet.' }])
  return store.transaction(async (tx) => ({ answers: await joinAnswers(tx, buildId, kind, answers) }))
}

/** Joins answers into the row of a sheet, made when first something is said. */
export async function joinAnswers(tx: Store, buildId: string, kind: string, answers: SheetAnswers): Promise<SheetAnswers> {
  await tx.get('build', buildId)
  const held = (await tx.list('buildSheet', { buildId, kind }))[0]
  const before = (held?.answers ?? {}) as SheetAnswers
  const merged = mergeAnswers(before, answers)
  if (!held) await tx.insert('buildSheet', { buildId, kind, answers: merged })
  else if (JSON.stringify(merged) !== JSON.stringify(before)) await tx.update('buildSheet', held.id, held.version, { answers: merged })
  return merged
}
