import { z } from 'zod'
import { words } from '../answers/basics.ts'
import { importPreview } from '../answers/catalogue.ts'
import type { Operations } from '../operation.ts'
import { offersInput } from '../rows.ts'

const offers = {
  query: offersInput.pick({ decimal: true, columns: true, instead: true, whole: true }),
  body: offersInput,
  raw: ['text/csv', 'application/octet-stream'],
  problems: [429],
  answer: importPreview,
} as const

export const documentOperations = {
  'POST /offers/preview': {
    ...offers,
    summary: 'What importing these offers would do; every bad row by line and column',
  },
  'POST /offers/import': { ...offers, summary: 'Import offers from CSV, all or nothing' },
  'GET /builds/{id}/parts.csv': { summary: 'The parts list as CSV', answer: 'text/csv' },
  'GET /builds/{id}/summary.html': {
    summary: "The page for the vehicle's owner as one file that is only read",
    answer: 'text/html',
  },
  'GET /builds/{id}/summary.pdf': {
    summary: "The page for the vehicle's owner as PDF, on the shop's paper",
    answer: 'application/pdf',
  },
  'GET /builds/{id}/export.json': {
    summary: 'The build and all it refers to, as JSON',
    answer: 'application/json',
  },
  'GET /builds/{id}/export.zip': {
    summary: 'The build and all it refers to, with its pictures, as a zip',
    answer: 'application/zip',
  },
  'POST /builds/import': {
    summary:
      'Read a build document, or a zip of one with its pictures, all or nothing; every fault by table, id and field',
    body: z.unknown(),
    raw: ['application/octet-stream', 'application/zip'],
    answer: z.strictObject({ builds: words, added: z.number() }),
    problems: [429],
  },
} as const satisfies Operations
