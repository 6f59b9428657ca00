/** A problem told by the server (RFC 9457), or a lost connection. */
export class ApiProblem extends Error {
  readonly status: number
  readonly errors: readonly { path: string; message: string }[]
  constructor(status: number, detail: string, errors: readonly { path: string; message: string }[] = []) {
    super(detail)
    this.status = status
    this.errors = errors
  }
}

async function request<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, { method, ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }) })
  } catch {
    throw new ApiProblem(0, 'Junket does not answer. Check that it is still running on this machine; what you typed is kept.')
  }
  const answer = await response.json().catch(() => ({}))
  if (!response.ok) throw new ApiProblem(response.status, answer.detail ?? 'Not done.', answer.errors ?? [])
  return answer as T
}

export const fetcher = <T>(path: string): Promise<T> => request<T>('GET', path)

export const api = {
  get: fetcher,
  post: <T>(path: string, body: unknown = {}): Promise<T> => request<T>('POST', path, body),
  patch: <T>(path: string, body: unknown): Promise<T> => request<T>('PATCH', path, body),
  remove: (path: string): Promise<{ trash: string }> => request('DELETE', path),
}
