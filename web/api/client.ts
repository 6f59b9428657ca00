import {
  type Answer,
  type Asked,
  addressOf,
  type Callable,
  type Given,
} from '../../contract/asked.ts'
import { partsOf } from '../../contract/operation.ts'
import { commandWritten } from './commands.ts'
import { personNow } from './person.ts'
import { problemWords } from './problem-words.ts'

/** A problem told by the server (RFC 9457), or a lost connection. */
export class ApiProblem extends Error {
  readonly status: number
  readonly errors: readonly { path: string; message: string }[]
  /** At 409: the row as it is stored now. */
  readonly theirs: ({ version: number } & Record<string, unknown>) | null
  constructor(
    status: number,
    detail: string,
    errors: ApiProblem['errors'] = [],
    theirs: ApiProblem['theirs'] = null,
  ) {
    super(detail)
    this.status = status
    this.errors = errors
    this.theirs = theirs
  }
  /** What is wrong as seen from within one of several things that were sent: paths lose what leads to it. */
  within(prefix: string): ApiProblem {
    const errors = this.errors.map(({ path, message }) => ({
      path: path.startsWith(prefix) ? path.slice(prefix.length) : path,
      message,
    }))
    return new ApiProblem(this.status, this.message, errors, this.theirs)
  }
  get isLostConnection(): boolean {
    return this.status === 0
  }
}

/** One that reads. */
export type Readable = Extract<Callable, `GET ${string}`>

interface Loose {
  readonly params?: Readonly<Record<string, string>>
  readonly query?: Readonly<Record<string, unknown>>
  readonly body?: unknown
}

/** Where an operation is asked, its names filled in. */
export function pathOf<N extends Callable>(name: N, asked?: Omit<Asked<N>, 'body'>): string {
  const { params, query } = (asked ?? {}) as Loose
  return addressOf(partsOf(name).path, params, query)
}

/**
 * Asks one operation of the server.
 * @throws ApiProblem where it refuses, or does not answer
 */
export async function call<N extends Callable>(name: N, ...given: Given<N>): Promise<Answer<N>> {
  const { body } = (given[0] ?? {}) as Loose
  return request(partsOf(name).method, pathOf(name, given[0]), body)
}

/** A file goes as it is, whatever it holds: the server reads it. */
const bodyOf = (body: unknown): { type: string; body: BodyInit } =>
  body instanceof Blob
    ? { type: 'application/octet-stream', body }
    : { type: 'application/json', body: JSON.stringify(body) }

async function request<T>(method: string, path: string, sent?: unknown): Promise<T> {
  let response: Response
  try {
    const { type, body } = sent === undefined ? { type: null, body: null } : bodyOf(sent)
    const headers = {
      ...(type ? { 'content-type': type } : {}),
      ...(personNow().id ? { 'x-junket-person': personNow().id! } : {}),
    }
    response = await fetch(`/api${path}`, { method, headers, ...(body === null ? {} : { body }) })
  } catch {
    throw new ApiProblem(
      0,
      'Junket does not answer. Check that it is still running on this machine; what you typed is kept.',
    )
  }
  const answer = await response.json().catch(() => ({}))
  if (!response.ok) {
    const { detail, errors } = problemWords(answer)
    throw new ApiProblem(response.status, detail, errors, answer.theirs ?? null)
  }
  const command = response.headers.get('x-junket-command')
  if (command) commandWritten(command, path !== '/undo')
  return answer as T
}

/** What a path reads, for the pages' memory of answers. */
export const fetcher = (path: string): Promise<unknown> => request('GET', path)
