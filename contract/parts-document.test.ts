import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { z } from 'zod'
import { partsDocument } from './parts-document.ts'

test('the schema that is published is the one parts are written by', () => {
  const published = JSON.parse(
    readFileSync(new URL('../docs/parts.schema.json', import.meta.url), 'utf8'),
  )
  expect(published).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(partsDocument))))
})
