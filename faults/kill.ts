import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { post, serve } from '../bench/served.ts'
import { type Outcome, Trial } from './outcome.ts'

const ROUNDS = 200
const WRITERS = 4
/** A fixed series of pauses between 10 and 250 ms: each kill comes at another moment of the work. */
const pauseMs = (round: number): number => 10 + ((round * 97) % 241)

/** kill -9 under load, again and again: every write that was acknowledged is there at the next start. */
export async function killed(): Promise<Outcome> {
  const trial = new Trial('kill -9 under load')
  const data = mkdtempSync(join(tmpdir(), 'junket-kill-'))
  const acknowledged: string[] = []
  let served = await serve(data)
  for (let round = 0; round < ROUNDS; round++) {
    let isWriting = true
    const writers = Array.from({ length: WRITERS }, async (_, writer) => {
      for (let i = 0; isWriting; i++) {
        const name = `Supplier ${round}-${writer}-${i}`
        const answer = await post(served.url, '/suppliers', { name, currency: 'EUR' }).catch(
          () => null,
        )
        if (answer?.ok) acknowledged.push(name)
        else if (!answer) return
      }
    })
    await new Promise((done) => setTimeout(done, pauseMs(round)))
    served.process.kill('SIGKILL')
    isWriting = false
    await Promise.all(writers)
    served = await serve(data)
    const { items } = (await (await fetch(`${served.url}/api/suppliers`)).json()) as {
      items: { name: string }[]
    }
    const stored = new Set(items.map((one) => one.name))
    const lost = acknowledged.filter((name) => !stored.has(name))
    trial.expect(
      lost.length === 0,
      `round ${round}: ${lost.length} acknowledged writes are lost, ${lost[0]} first`,
    )
  }
  await served.stop()
  return trial.outcome
}
