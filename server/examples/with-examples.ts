import { EXAMPLES, PROBLEM_EXAMPLES } from './examples.ts'

interface Content {
  readonly content?: Record<string, { example?: unknown }>
}
interface Document {
  readonly paths?: Record<string, Record<string, { responses?: Record<string, Content> }>>
}

/** An OpenAPI document with an answer of the demo at each operation, and a problem at each status. */
export function withExamples<D extends object>(document: D, prefix: string): D {
  for (const [path, methods] of Object.entries((document as Document).paths ?? {}))
    for (const [method, { responses = {} }] of Object.entries(methods)) {
      const name = `${method.toUpperCase()} ${path.slice(prefix.length)}`
      for (const [status, { content = {} }] of Object.entries(responses))
        for (const [type, held] of Object.entries(content)) {
          if (type === 'application/json' && name in EXAMPLES) held.example = EXAMPLES[name]
          if (type === 'application/problem+json') held.example = PROBLEM_EXAMPLES[Number(status)]
        }
    }
  return document
}
