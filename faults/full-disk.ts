import { rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { post, serve } from '../bench/served.ts'
import { smallDisk } from './mount.ts'
import { type Outcome, Trial } from './outcome.ts'

const CHUNK = Buffer.alloc(64 * 1024, 1)

/** A disk that fills, and one that turns read-only, under a running Junket: said in words, nothing lost, and it goes on by itself. */
export async function fullDisk(): Promise<Outcome> {
  const trial = new Trial('full and read-only disk')
  const disk = smallDisk(24)
  if (!disk) return { ...trial.outcome, skipped: 'no small disk can be mounted here' }
  const served = await serve(disk.path)
  const acknowledged: string[] = []
  const write = async (name: string): Promise<Response> => {
    const answer = await post(served.url, '/suppliers', {
      name,
      currency: 'EUR',
      place: 'x'.repeat(1900),
    })
    if (answer.ok) acknowledged.push(name)
    return answer
  }
  const isTold = async (answer: Response, what: string, words: RegExp): Promise<void> => {
    const text = await answer.text()
    const { detail = text } = (text.startsWith('{') ? JSON.parse(text) : {}) as { detail?: string }
    trial.expect(
      answer.status === 507 &&
        words.test(detail) &&
        detail.includes(disk.path) &&
        !/SQLITE/.test(detail),
      `${what}: ${answer.status} "${detail}"`,
    )
  }
  try {
    for (let round = 0; round < 3; round++) {
      const filler = join(disk.path, 'filler')
      try {
        for (;;) writeFileSync(filler, CHUNK, { flag: 'a' })
      } catch {
        // Full now.
      }
      let refused: Response | null = null
      for (let i = 0; i < 2000 && !refused; i++) {
        const answer = await write(`Full ${round}-${i}`)
        if (!answer.ok) refused = answer
      }
      trial.expect(refused !== null, 'a full disk took every write')
      if (refused) await isTold(refused, 'a full disk', /is full/)
      await isTold(
        await post(served.url, '/backups', {}),
        'a backup on a full disk',
        /is full|cannot be written/,
      )
      trial.expect((await fetch(`${served.url}/api/suppliers`)).ok, 'a full disk stops reading')
      rmSync(filler)
      trial.expect((await write(`Room again ${round}`)).ok, 'with room again it does not go on')
    }
    if (disk.remount('ro')) {
      await isTold(await write('Read-only'), 'a read-only disk', /cannot be written to/)
      trial.expect(
        (await fetch(`${served.url}/api/suppliers`)).ok,
        'a read-only disk stops reading',
      )
      disk.remount('rw')
      trial.expect((await write('Writable again')).ok, 'writable again it does not go on')
    }
    await served.stop()
    const again = await serve(disk.path)
    const { items } = (await (await fetch(`${again.url}/api/suppliers`)).json()) as {
      items: { name: string }[]
    }
    const stored = new Set(items.map(({ name }) => name))
    const lost = acknowledged.filter((name) => !stored.has(name))
    trial.expect(lost.length === 0, `${lost.length} acknowledged writes are lost`)
    await again.stop()
  } finally {
    disk.release()
  }
  return trial.outcome
}
