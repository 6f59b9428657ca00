import { afterEach, expect, test } from 'vitest'
import { FileReader } from './file-reader.ts'

let reader: FileReader
afterEach(() => reader.close())

const OPTIONS = { isWrapped: false, decimal: 'ask' } as const
const HEAD =
  'supplier,issuer,number,description,price,currency,taxIncluded,pack,stock,leadDays,condition'
const offers = (rows: number): Uint8Array =>
  new Uint8Array(Buffer.from(`${HEAD}\n${'A,B,1,x,1,EUR,yes,,,,\n'.repeat(rows)}`))

async function gather(batches: AsyncIterable<{ rows: readonly unknown[] }>): Promise<number> {
  let rows = 0
  for await (const batch of batches) rows += batch.rows.length
  return rows
}

test('a file comes back in batches, and the thread is used again', async () => {
  reader = new FileReader()
  expect([
    await gather(reader.read('offers', offers(1200), OPTIONS)),
    await gather(reader.read('offers', offers(3), OPTIONS)),
  ]).toEqual([1200, 3])
})

test('a file that takes too long is given up with words, others are read meanwhile, and the reader works on', async () => {
  reader = new FileReader({ seconds: 10, memoryMb: 256 })
  const long = gather(reader.read('offers', offers(4_000_000), OPTIONS)).catch(
    (error: Error) => error,
  )
  expect(await gather(reader.read('offers', offers(2), OPTIONS))).toBe(2)
  expect(await long).toMatchObject({
    status: 422,
    message: expect.stringContaining('more than 10 s'),
  })
  reader = new FileReader()
  expect(await gather(reader.read('offers', offers(2), OPTIONS))).toBe(2)
})

test('a file that needs too much memory is given up with words', async () => {
  reader = new FileReader({ seconds: 60, memoryMb: 40 })
  const nested = new Uint8Array(
    Buffer.from(
      `{"format":"junket-build","version":1,"tables":{"part":[${'{"id":"a","x":[[],[],[]]},'.repeat(600_000)}{}]}}`,
    ),
  )
  const failed = await gather(reader.read('build', nested, OPTIONS)).catch((error: Error) => error)
  expect(failed).toMatchObject({ status: 422, message: expect.stringContaining('more than 40 MB') })
})

test('what is wrong with a file is told with each place; what is no JSON is malformed', async () => {
  reader = new FileReader()
  const read = (text: string) =>
    gather(reader.read('build', new Uint8Array(Buffer.from(text)), OPTIONS)).catch(
      (error: Error) => error,
    )
  expect(await read('{')).toMatchObject({ status: 400 })
  expect(
    await read(
      '{"format":"junket-build","version":1,"tables":{"person":[{"id":"p","name":"","decimal":"ask"}]}}',
    ),
  ).toMatchObject({
    status: 422,
    extra: { errors: [{ path: 'person/p/name', message: 'Give it a name.' }] },
  })
})

test('when many bring files at once, all but a few wait their turn and the rest are asked to come again', async () => {
  reader = new FileReader()
  const told = await Promise.all(
    Array.from({ length: 14 }, () =>
      gather(reader.read('offers', offers(50), OPTIONS)).catch(
        (error: Error & { status?: number }) => error.status,
      ),
    ),
  )
  expect([
    told.filter((one) => one === 50).length,
    told.filter((one) => one === 429).length,
  ]).toEqual([10, 4])
})

test('whoever leaves early leaves no thread reading', async () => {
  reader = new FileReader()
  for await (const _ of reader.read('offers', offers(200_000), OPTIONS)) break
  expect(await gather(reader.read('offers', offers(2), OPTIONS))).toBe(2)
})
