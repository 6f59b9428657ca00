import { z } from 'zod'
import { items, trash } from '../answers/basics.ts'
import { rowOf } from '../answers/rows.ts'
import { PHOTO_TYPES } from '../files.ts'
import type { Operations } from '../operation.ts'
import { photoQuery, photosQuery } from '../photos.ts'
import { text } from '../text.ts'

const photo = rowOf('photo')

export const photoOperations = {
  'GET /photos': {
    summary: 'Pictures of a part, a donor or a build, oldest first',
    query: photosQuery,
    answer: items(photo),
  },
  'POST /photos': {
    summary: 'Keep a picture: turned upright, made smaller, without where it was taken',
    query: photoQuery,
    raw: [...PHOTO_TYPES],
    answer: photo,
    problems: [429],
  },
  'PATCH /photos/{id}': {
    summary: 'Change what is said of a picture',
    body: z.strictObject({ version: z.number().int().positive(), note: text.nullable() }),
    answer: photo,
  },
  'DELETE /photos/{id}': { summary: 'Move a picture to the trash', answer: trash },
  'GET /photos/{id}/image': { summary: 'The picture', answer: 'image/jpeg' },
  'GET /photos/{id}/thumb': { summary: 'The picture, small', answer: 'image/webp' },
} as const satisfies Operations
