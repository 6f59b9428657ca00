import { chordsPattern, drawnFaces, tracedPattern } from '../answers/catalogue.ts'
import type { Operations } from '../operation.ts'
import { chordsInput, dxfInput, paperQuery, plateQuery, traceInput } from '../patterns.ts'

export const patternOperations = {
  'POST /patterns/chords': {
    summary: 'A pattern from distances between its holes and to the axis, with the misfit of each',
    body: chordsInput,
    answer: chordsPattern,
  },
  'POST /patterns/dxf': {
    summary: 'Read the faces of a DXF file',
    body: dxfInput,
    raw: ['image/vnd.dxf', 'application/octet-stream'],
    answer: drawnFaces,
    problems: [429],
  },
  'POST /patterns/trace': {
    summary: 'A pattern from points marked on a picture, with its scale, skew and misfits',
    body: traceInput,
    answer: tracedPattern,
  },
  'GET /parts/{id}/faces/{slot}/pattern.pdf': {
    summary: 'A face as a 1:1 template to print and lay on it',
    query: paperQuery,
    answer: 'application/pdf',
  },
  'GET /builds/{id}/plate.pdf': {
    summary: 'Both patterns of a plate at 1:1, seen from the gearbox',
    query: plateQuery,
    answer: 'application/pdf',
  },
  'GET /builds/{id}/plate.dxf': {
    summary: 'Both patterns of a plate with dowels, registers and outlines on named layers',
    query: plateQuery,
    answer: 'image/vnd.dxf',
  },
  'GET /parts/{id}/pattern.dxf': {
    summary: 'The faces of a part as DXF, mm, train frame',
    answer: 'image/vnd.dxf',
    problems: [422],
  },
} as const satisfies Operations
