import { z } from 'zod'
import { items, trash } from '../answers/basics.ts'
import { listedFor, partDetail, partsPage, sameInside } from '../answers/catalogue.ts'
import { claim, donor, kept, kit, part, takenClaim } from '../answers/rows.ts'
import { keptInput } from '../kept.ts'
import type { Operations } from '../operation.ts'
import {
  claimInput,
  donorInput,
  donorPatch,
  kindsInput,
  kitInput,
  kitPatch,
  partInput,
  partPatch,
  partsQuery,
  strikeInput,
} from '../rows.ts'

export const catalogueOperations = {
  'GET /parts': {
    summary:
      'Parts, a page at a time: by words or a number in any spelling, kind, place, size, what they fit, stock, price and evidence',
    query: partsQuery,
    answer: partsPage,
  },
  'POST /parts': {
    summary: 'Add a part with what was measured',
    body: partInput,
    answer: part,
    problems: [404],
  },
  'POST /parts/kinds': {
    summary: 'Set the kinds of many parts, all or none',
    body: kindsInput,
    answer: z.strictObject({ changed: z.number() }),
    problems: [404],
  },
  'GET /kept': {
    summary: 'What is kept by name: filters, and how lists were read, by their heads',
    query: keptInput.pick({ what: true }),
    answer: items(kept),
  },
  'POST /kept': { summary: 'Keep it under a name', body: keptInput, answer: kept },
  'DELETE /kept/{id}': { summary: 'Keep it no more', answer: trash },
  'GET /parts/{id}': {
    summary: 'A part with its ports, claims and numbers',
    query: z.object({ build: z.string().optional() }),
    answer: partDetail,
  },
  'GET /parts/{id}/listed': {
    summary:
      'Numbers of what came with an engine, a gearbox or a vehicle, and those said to fit its family, or not to',
    answer: listedFor,
  },
  'GET /parts/{id}/same-inside/{other}': {
    summary:
      'Whether two transmissions are the same inside, proved by measurements, and what remains unproved',
    answer: sameInside,
  },
  'PATCH /parts/{id}': { summary: 'Change a part', body: partPatch, answer: part },
  'DELETE /parts/{id}': { summary: 'Move a part to the trash', answer: trash },
  'POST /claims': {
    summary: 'Record a measurement',
    body: claimInput,
    answer: takenClaim,
    problems: [404],
  },
  'POST /claims/{id}/strike': {
    summary: 'Strike a claim out: it is kept, with who and why, and never used again',
    body: strikeInput,
    answer: claim,
  },
  'GET /kits': { summary: 'All kits with their items', answer: items(kit) },
  'POST /kits': { summary: 'Add a kit', body: kitInput, answer: kit },
  'GET /kits/{id}': { summary: 'One kit', answer: kit },
  'PATCH /kits/{id}': {
    summary: 'Change a kit; items given replace those there',
    body: kitPatch,
    answer: kit,
  },
  'DELETE /kits/{id}': { summary: 'Move a kit to the trash', answer: trash },
  'GET /donors': { summary: 'All donors with their items', answer: items(donor) },
  'POST /donors': { summary: 'Add a donor', body: donorInput, answer: donor },
  'GET /donors/{id}': { summary: 'One donor', answer: donor },
  'PATCH /donors/{id}': {
    summary: 'Change a donor; items given replace those there',
    body: donorPatch,
    answer: donor,
  },
  'DELETE /donors/{id}': { summary: 'Move a donor to the trash', answer: trash },
} as const satisfies Operations
