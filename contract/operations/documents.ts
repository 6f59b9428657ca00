import { z } from 'zod'
import { words } from '../answers/basics.ts'
import { importPreview, listPreview } from '../answers/catalogue.ts'
import { listFileQuery, listQuery } from '../lists.ts'
import type { Operations } from '../operation.ts'
import { offersInput, partsQuery } from '../rows.ts'

const offers = {
  query: offersInput.pick({ decimal: true, columns: true, instead: true, whole: true }),
  body: offersInput,
  raw: ['text/csv', 'application/octet-stream'],
  problems: [429],
  answer: importPreview,
} as const

/** Media type of a workbook (ISO/IEC 29500). */
const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'
const aList = {
  query: listQuery,
  body: z.unknown(),
  raw: ['text/csv', 'application/octet-stream', XLSX],
  problems: [429],
  answer: listPreview,
} as const

export const documentOperations = {
  'POST /offers/preview': {
    ...offers,
    summary: 'What importing these offers would do; every bad row by line and column',
  },
  'POST /offers/import': { ...offers, summary: 'Import offers from CSV, all or nothing' },
  'POST /lists/preview': {
    ...aList,
    summary:
      'What reading in a list of parts, numbers, supersessions, interchange, applications, suppliers or kits would do; every bad cell by line and column',
  },
  'POST /lists/import': { ...aList, summary: 'Read such a list in, all or nothing' },
  'GET /lists/all.csv': {
    summary: 'Every row of a list that stands, with the columns it is read by, as CSV',
    query: listFileQuery,
    answer: 'text/csv',
  },
  'GET /lists/all.xlsx': {
    summary: 'The same as a workbook',
    query: listFileQuery,
    answer: XLSX,
  },
  'GET /lists/sample.csv': {
    summary: 'A few invented rows of a list, to begin from',
    query: listFileQuery.pick({ list: true }),
    answer: 'text/csv',
  },
  'GET /parts.json': {
    summary:
      'Parts with their ports, claims and numbers as JSON; its schema stands in docs/parts.schema.json',
    query: partsQuery.omit({ limit: true, after: true }),
    answer: 'application/json',
  },
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
