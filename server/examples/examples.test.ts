import { expect, test } from 'vitest'
import type { z } from 'zod'
import type { Operation } from '../../contract/operation.ts'
import { SUBJECTS } from '../../contract/operations/index.ts'
import { problemSchema } from '../../contract/problem.ts'
import { demoDocument } from '../../demo/index.ts'
import { createApp } from '../app.ts'
import { demoDatabase } from '../database/demo.seed.ts'
import { Store } from '../database/store.ts'
import { JobRunner } from '../jobs/runner.ts'
import { askAll } from './ask-all.ts'
import { EXAMPLES, PROBLEM_EXAMPLES } from './examples.ts'

const operations = Object.assign({}, ...Object.values(SUBJECTS)) as Record<string, Operation>
const answering = Object.entries(operations).filter(([, { answer }]) => typeof answer !== 'string')

interface Described {
  readonly operationId: string
  readonly responses: Record<
    string,
    { content: Record<string, { schema: object; example?: unknown }> }
  >
}

test('every operation, asked of the demo, is answered as the contract says', async () => {
  const exchanges = await askAll(demoDocument())
  expect([...exchanges.keys()].sort()).toEqual(answering.map(([name]) => name).sort())
  const refused = [...exchanges].filter(([, { status }]) => status !== 200)
  expect(refused.map(([name, { status, answer }]) => [name, status, answer])).toEqual([])
})

test.each(answering)('the example of %s is one', (name, { answer }) => {
  const { success, error } = (answer as z.ZodType).safeParse(EXAMPLES[name])
  expect(success ? [] : error.issues).toEqual([])
})

test('each status has an example of its problem', () => {
  for (const [status, example] of Object.entries(PROBLEM_EXAMPLES))
    expect(problemSchema.parse(example).status).toBe(Number(status))
})

test('the document tells of every operation and status by its schema, with an example', async () => {
  const knex = await demoDatabase()
  const app = createApp({ store: new Store(knex), jobs: new JobRunner() })
  const answer = await app.request('/api/openapi.json')
  await knex.destroy()
  const { paths } = (await answer.json()) as {
    paths: Record<string, Record<string, Described>>
  }
  const told = Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(
      ([method, one]) => [`${method.toUpperCase()} ${path.slice('/api'.length)}`, one] as const,
    ),
  )
  expect(told.map(([name]) => name).sort()).toEqual(Object.keys(operations).sort())
  for (const [name, { operationId, responses }] of told) {
    expect(operationId).toMatch(/^[a-z][A-Za-z0-9]+$/)
    for (const [status, { content }] of Object.entries(responses))
      for (const [type, { schema, example }] of Object.entries(content)) {
        const where = `${name} ${status} ${type}`
        expect([where, Object.keys(schema).length > 0]).toEqual([where, true])
        if (type.includes('json') && typeof operations[name]!.answer !== 'string')
          expect([where, example !== undefined]).toEqual([where, true])
      }
  }
  expect(new Set(told.map(([, { operationId }]) => operationId)).size).toBe(told.length)
})
