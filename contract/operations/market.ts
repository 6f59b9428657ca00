import { z } from 'zod'
import { items, trash } from '../answers/basics.ts'
import { offers, priceOn } from '../answers/catalogue.ts'
import { feedReading } from '../answers/feeds.ts'
import { issuer, offer, rate, supplier } from '../answers/rows.ts'
import { rulePreview } from '../answers/rule-preview.ts'
import { restored } from '../answers/shop.ts'
import type { Operations } from '../operation.ts'
import {
  issuerInput,
  issuerPatch,
  offerInput,
  offerPatch,
  ownedInput,
  rateInput,
  ratePatch,
  rulePreviewInput,
  supplierInput,
  supplierPatch,
} from '../rows.ts'

export const marketOperations = {
  'GET /suppliers': { summary: 'All suppliers', answer: items(supplier) },
  'POST /suppliers': { summary: 'Add a supplier', body: supplierInput, answer: supplier },
  'PATCH /suppliers/{id}': { summary: 'Change a supplier', body: supplierPatch, answer: supplier },
  'DELETE /suppliers/{id}': { summary: 'Move a supplier to the trash', answer: trash },
  'GET /suppliers/{id}/readings': {
    summary: "How the newest readings of a supplier's prices went, newest first",
    answer: items(feedReading),
  },
  'POST /suppliers/{id}/readings': {
    summary:
      "Fetch a supplier's prices now: late, busy and broken answers are asked for again; what is not named any more has ended",
    answer: feedReading,
    problems: [409],
  },
  'GET /issuers': {
    summary: 'Who issues part numbers, and how they are read',
    answer: items(issuer),
  },
  'POST /issuers': { summary: 'Add an issuer', body: issuerInput, answer: issuer },
  'POST /issuers/{id}/preview': {
    summary:
      'What a rule would make of the numbers there are: those read otherwise, that meet or part, and two parts in one number, which cannot be saved',
    body: rulePreviewInput,
    answer: rulePreview,
  },
  'PATCH /issuers/{id}': {
    summary: 'Change an issuer; numbers of theirs are read anew',
    body: issuerPatch,
    answer: issuer,
  },
  'DELETE /issuers/{id}': { summary: 'Move an issuer to the trash', answer: trash },
  'GET /rates': { summary: 'All exchange rates', answer: items(rate) },
  'POST /rates': { summary: 'Add an exchange rate', body: rateInput, answer: rate },
  'PATCH /rates/{id}': { summary: 'Change an exchange rate', body: ratePatch, answer: rate },
  'DELETE /rates/{id}': { summary: 'Move an exchange rate to the trash', answer: trash },
  'GET /offers': {
    summary: 'Offers of a part or a supplier',
    query: z.object({ part: z.string().optional(), supplier: z.string().optional() }),
    answer: offers,
  },
  'POST /offers': { summary: 'Add an offer by hand', body: offerInput, answer: offer },
  'PATCH /offers/{id}': {
    summary: 'Change an offer; what it asked before is kept',
    body: offerPatch,
    answer: offer,
  },
  'GET /offers/{id}/prices': {
    summary: 'What was asked for an offer, day by day, oldest first; the last is what is asked now',
    answer: items(priceOn),
  },
  'POST /parts/{id}/owned': {
    summary: 'Say that the shop owns a part: it is offered from its own shelf',
    body: ownedInput,
    answer: offer,
  },
  'DELETE /offers/{id}': { summary: 'Move an offer to the trash', answer: trash },
  'POST /trash/{id}/restore': { summary: 'Put back what was removed', answer: restored },
} as const satisfies Operations
