import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { grow } from './grown.ts'
import type { Row } from './row.ts'
import { post, serve } from './served.ts'

/** Times the demo, in parts and offers; `JUNKET_GROWTH` names the scales to run. */
const SCALES = [
  { name: '1 ×', parts: 0, offers: 0 },
  { name: '10,000 parts, 100,000 offers', parts: 10_000, offers: 100_000 },
  { name: '100 ×: 25,000 parts, 50,000 offers', parts: 25_000, offers: 50_000 },
  { name: '100,000 parts, 1,000,000 offers', parts: 100_000, offers: 1_000_000 },
]

const SCREENS = [
  '/builds',
  '/builds/lantern',
  '/builds/lantern/pairings',
  '/builds/lantern/parts',
  '/builds/lantern/sourcing',
  '/builds/lantern/budget',
]

/** What a catalogue costs as it grows: commands, reads after an unrelated write, memory. */
export async function benchGrowth(): Promise<Row[]> {
  const only = process.env.JUNKET_GROWTH?.split(',').map(Number)
  const rows: Row[] = []
  const measured = new Map<string, { readonly parts: number; readonly value: number }[]>()
  for (const [index, { name, parts, offers }] of SCALES.entries()) {
    if (only && !only.includes(index)) continue
    const data = mkdtempSync(join(tmpdir(), 'junket-growth-'))
    await (await serve(data, { demo: true })).stop()
    grow(join(data, 'junket.sqlite'), parts, offers)
    const served = await serve(data)
    const say = (what: string, value: number, unit: string, goal: number | null): void => {
      rows.push({
        name: `${name}: ${what}`,
        value: Math.round(value),
        unit,
        goal,
        better: 'lower',
        runs: 1,
      })
      measured.set(what, [
        ...(measured.get(what) ?? []),
        { parts: Math.max(parts, DEMO_PARTS), value },
      ])
    }
    const timed = async (work: () => Promise<Response>): Promise<number> => {
      const from = performance.now()
      const answer = await work()
      if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`)
      await answer.arrayBuffer()
      return performance.now() - from
    }
    const get = (path: string) => timed(() => fetch(`${served.url}/api${path}`))
    for (const path of SCREENS) say(`first read of ${path}`, await get(path), 'ms', null)
    for (const path of SCREENS) say(`next read of ${path}`, await get(path), 'ms', 30)
    await timed(() => post(served.url, '/people', { name: 'Unrelated' }))
    say(
      'read after an unrelated write (a person), worst screen',
      Math.max(...(await inTurn(SCREENS, get))),
      'ms',
      50,
    )
    await timed(() => post(served.url, '/suppliers', { name: 'Unrelated', currency: 'EUR' }))
    say(
      'read after an unrelated write (a supplier of nothing), worst screen',
      Math.max(...(await inTurn(SCREENS, get))),
      'ms',
      50,
    )
    const { lines } = (await (await fetch(`${served.url}/api/builds/lantern/parts`)).json()) as {
      lines: { id: string }[]
    }
    const drops: number[] = []
    for (const line of lines.slice(0, 8))
      drops.push(
        await timed(() =>
          post(served.url, '/builds/lantern/decisions', { needId: line.id, act: 'drop' }),
        ),
      )
    say('drop a line, worst of 8', Math.max(...drops), 'ms', 100)
    say('read of the parts list after it', await get('/builds/lantern/parts'), 'ms', null)
    say(
      'choose a pairing',
      await timed(() =>
        post(served.url, '/builds/lantern/pairing', {
          engineId: 'wick-2',
          transmissionId: 'marlund-4',
        }),
      ),
      'ms',
      100,
    )
    say(
      'memory',
      Number(
        /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${served.process.pid}/status`, 'utf8'))?.[1] ?? 0,
      ) / 1024,
      'MB',
      parts >= 100_000 ? 500 : null,
    )
    await served.stop()
  }
  for (const [what, points] of measured)
    if (points.length > 1)
      rows.push({
        name: `grows with parts to the power of: ${what}`,
        value: Number(exponentOf(points).toFixed(2)),
        unit: '',
        goal: null,
        better: 'lower',
        runs: points.length,
      })
  return rows
}

const DEMO_PARTS = 249

/** Slope of a straight line through the logarithms: 0 does not grow, 1 grows as the parts do. */
function exponentOf(points: readonly { readonly parts: number; readonly value: number }[]): number {
  const xs = points.map(({ parts }) => Math.log(parts))
  const ys = points.map(({ value }) => Math.log(Math.max(value, 0.5)))
  const mean = (of: readonly number[]): number => of.reduce((sum, one) => sum + one, 0) / of.length
  const [x, y] = [mean(xs), mean(ys)]
  return (
    xs.reduce((sum, one, i) => sum + (one - x) * (ys[i]! - y), 0) /
    xs.reduce((sum, one) => sum + (one - x) ** 2, 0)
  )
}

async function inTurn<T>(
  items: readonly T[],
  work: (item: T) => Promise<number>,
): Promise<number[]> {
  const done: number[] = []
  for (const item of items) done.push(await work(item))
  return done
}
