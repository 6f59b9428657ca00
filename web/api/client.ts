import { commandWritten } from './commands.ts'
import { personNow } from './person.ts'

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
  get isLostConnection(): boolean {
    return this.status === 0
  }
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
  if (!response.ok)
    throw new ApiProblem(
      response.status,
      answer.detail ?? 'Not done.',
      answer.errors ?? [],
      answer.theirs ?? null,
    )
  const command = response.headers.get('x-junket-command')
  if (command) commandWritten(command, path !== '/undo')
  return answer as T
}

export const fetcher = <T>(path: string): Promise<T> => request<T>('GET', path)

export const api = {
  get: fetcher,
  post: <T>(path: string, body: unknown = {}): Promise<T> => request<T>('POST', path, body),
  patch: <T>(path: string, body: unknown): Promise<T> => request<T>('PATCH', path, body),
  put: <T>(path: string, body: unknown): Promise<T> => request<T>('PUT', path, body),
  remove: (path: string): Promise<{ trash: string }> => request('DELETE', path),
}
