import { z } from 'zod'
import { done, items, trash } from '../answers/basics.ts'
import { person } from '../answers/rows.ts'
import {
  asideRow,
  backup,
  history,
  restored,
  restoredBackup,
  trashed,
  undone,
} from '../answers/shop.ts'
import type { Operations } from '../operation.ts'
import { mendInput, personInput, personPatch } from '../rows.ts'
import { STORED_TABLES } from '../stored.ts'

/** People, the history, undo, the trash, backups, and what others change. */
export const historyOperations = {
  'GET /people': { summary: 'Who works at this bench', answer: items(person) },
  'POST /people': { summary: 'Add a person', body: personInput, answer: person },
  'PATCH /people/{id}': { summary: 'Change a person', body: personPatch, answer: person },
  'DELETE /people/{id}': {
    summary: 'Move a person to the trash; what they did keeps their name',
    answer: trash,
  },
  'GET /history': {
    summary: 'Who changed what, when, from what, to what; newest first',
    query: z.object({
      entity: z.enum(STORED_TABLES).optional(),
      id: z.string().max(200).optional(),
      who: z.string().max(120).optional(),
      before: z.coerce.number().int().positive().optional(),
      limit: z.coerce.number().int().min(1).max(200).optional(),
    }),
    answer: history,
  },
  'POST /history/{entry}/restore': {
    summary: 'Put back what one entry changed or removed',
    answer: restored,
  },
  'POST /undo': {
    summary: 'Undo everything one command wrote; the answer carries the command that undid it',
    body: z.strictObject({ command: z.string().min(1).max(80) }),
    answer: undone,
    problems: [404],
  },
  'GET /trash': { summary: 'What was removed and can be put back', answer: items(trashed) },
  'GET /set-aside': {
    summary: 'Rows that cannot be read: what is wrong with each, and what stands there',
    answer: items(asideRow),
  },
  'PATCH /set-aside/{table}/{id}': {
    summary: 'Mend a row that is set aside, field by field as typed',
    body: mendInput,
    answer: done,
  },
  'POST /set-aside/{table}/{id}/put-back': {
    summary: 'Put a row back as it was when it could last be read',
    body: mendInput.pick({ version: true }),
    answer: done,
  },
  'DELETE /set-aside/{table}/{id}': {
    summary: 'Move a row that cannot be read to the trash',
    answer: trash,
  },
  'GET /backups': { summary: 'Backups, newest first', answer: items(backup) },
  'POST /backups': { summary: 'Back up now', answer: backup },
  'POST /backups/{name}/restore': {
    summary: 'Put a backup in place of the data; the data as it is now is kept as a backup first',
    answer: restoredBackup,
  },
  'GET /events': {
    summary: 'What others change, as a stream of events: who, which tables, the first of the rows',
    answer: 'text/event-stream',
  },
} as const satisfies Operations
