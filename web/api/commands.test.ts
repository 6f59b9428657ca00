// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'

beforeEach(() => {
  localStorage.clear()
  sessionStorage.clear()
  vi.resetModules()
})
afterEach(() => vi.unstubAllGlobals())

/** Answers in turn, each with the command it wrote. */
function server(
  ...answers: readonly {
    readonly status?: number
    readonly body?: object
    readonly command?: string
  }[]
) {
  const fetching = vi.fn(async (_path: string, _init?: RequestInit): Promise<Response> => {
    const { status = 200, body = {}, command } = answers[fetching.mock.calls.length - 1] ?? {}
    return new Response(JSON.stringify(body), {
      status,
      headers: command ? { 'x-junket-command': command } : {},
    })
  })
  vi.stubGlobal('fetch', fetching)
  return fetching
}

describe('commands', () => {
  test('the newest is taken first, and a reload of the page still knows them', async () => {
    const first = await import('./commands.ts')
    first.commandWritten('a', true)
    first.commandWritten('b', true)
    vi.resetModules()
    const again = await import('./commands.ts')
    expect([again.takeNewest(), again.takeNewest(), again.takeNewest()]).toEqual([
      'b',
      'a',
      undefined,
    ])
  })

  test('an undo is this page’s own, but not undone by the next Ctrl+Z', async () => {
    const { commandWritten, isOwn, takeNewest } = await import('./commands.ts')
    commandWritten('a', true)
    commandWritten('undo-of-a', false)
    expect([isOwn('undo-of-a'), isOwn('of-others'), isOwn(null)]).toEqual([true, false, false])
    expect(takeNewest()).toBe('a')
  })

  test('only the last hundred are kept', async () => {
    const { commandWritten, takeNewest } = await import('./commands.ts')
    for (let i = 0; i < 130; i++) commandWritten(String(i), true)
    let count = 0
    while (takeNewest() !== undefined) count++
    expect(count).toBe(100)
  })
})

describe('client', () => {
  test('a write says who is at the bench and keeps the command; a read writes none', async () => {
    const fetching = server({ command: 'c1' }, {})
    const { setPerson } = await import('./person.ts')
    const { call } = await import('./client.ts')
    const { takeNewest } = await import('./commands.ts')
    setPerson({ id: 'p1', name: 'Ida', decimal: 'comma' })
    await call('POST /suppliers', { body: { name: 'x', currency: 'EUR' } })
    await call('GET /suppliers')
    expect(fetching.mock.calls[0]![1]!.headers).toMatchObject({
      'x-junket-person': 'p1',
      'content-type': 'application/json',
    })
    expect([takeNewest(), takeNewest()]).toEqual(['c1', undefined])
  })

  test('a refusal carries its fields and, at 409, what is stored now', async () => {
    server({
      status: 409,
      body: {
        detail: 'Changed.',
        errors: [{ path: 'a', message: 'b' }],
        theirs: { version: 3, name: 'T' },
      },
    })
    const { call, ApiProblem } = await import('./client.ts')
    const problem = await call('PATCH /suppliers/{id}', {
      params: { id: 'x' },
      body: { version: 1 },
    }).catch((error: unknown) => error)
    expect(problem).toBeInstanceOf(ApiProblem)
    expect(problem).toMatchObject({
      status: 409,
      message: 'Changed.',
      errors: [{ path: 'a', message: 'b' }],
      theirs: { version: 3 },
      isLostConnection: false,
    })
  })

  test('no answer at all is a lost connection, said so', async () => {
    vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('failed')))
    const { call } = await import('./client.ts')
    await expect(call('GET /suppliers')).rejects.toMatchObject({
      status: 0,
      isLostConnection: true,
      message: expect.stringContaining('kept'),
    })
  })
})

describe('undo', () => {
  test('commands that wrote nothing are passed over; the one before is meant', async () => {
    const fetching = server(
      { status: 404, body: { detail: 'nothing' } },
      { body: { command: 'undo-of-a' }, command: 'undo-of-a' },
    )
    const { commandWritten, takeNewest } = await import('./commands.ts')
    const { undoNewest } = await import('./undo.ts')
    commandWritten('a', true)
    commandWritten('checked-only', true)
    await undoNewest()
    expect(fetching.mock.calls.map(([, init]) => JSON.parse(String(init!.body)).command)).toEqual([
      'checked-only',
      'a',
    ])
    expect(takeNewest()).toBeUndefined()
  })

  test('a refused undo is not tried on an older command', async () => {
    const fetching = server({ status: 409, body: { detail: 'It was changed since.' } })
    const { commandWritten, takeNewest } = await import('./commands.ts')
    const { undoNewest } = await import('./undo.ts')
    commandWritten('a', true)
    commandWritten('b', true)
    await undoNewest()
    expect(fetching).toHaveBeenCalledTimes(1)
    expect(takeNewest()).toBe('a')
  })
})

describe('who is at the bench', () => {
  test('is remembered by this browser; what cannot be read is nobody', async () => {
    const { setPerson } = await import('./person.ts')
    setPerson({ id: 'p1', name: 'Ida', decimal: 'comma' })
    vi.resetModules()
    expect((await import('./person.ts')).personNow()).toEqual({
      id: 'p1',
      name: 'Ida',
      decimal: 'comma',
    })
    localStorage.setItem('person', '{')
    vi.resetModules()
    expect((await import('./person.ts')).personNow()).toEqual({
      id: null,
      name: null,
      decimal: 'ask',
    })
  })
})
