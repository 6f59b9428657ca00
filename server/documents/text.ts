import { isUtf8 } from 'node:buffer'
import { FileFault } from './file-fault.ts'

type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be'

/** Bytes looked at to tell UTF-16 without a mark: every other one is zero in Latin text. */
const SAMPLE = 400

function encodingOf(bytes: Uint8Array): Encoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le'
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be'
  const zeros = [0, 0]
  const length = Math.min(SAMPLE, bytes.length)
  for (let i = 0; i < length; i++) if (bytes[i] === 0) zeros[i % 2]!++
  const most = length / 2
  if (length >= 4 && zeros[1]! > most * 0.6 && zeros[0]! < most * 0.1) return 'utf-16le'
  if (length >= 4 && zeros[0]! > most * 0.6 && zeros[1]! < most * 0.1) return 'utf-16be'
  return 'utf-8'
}

/**
 * The text of a file: UTF-8, or UTF-16 either end first, with or without a byte order mark.
 * @throws FileFault naming the first line that is neither
 */
export function decodeText(bytes: Uint8Array): string {
  const encoding = encodingOf(bytes)
  if (encoding === 'utf-8' && !isUtf8(bytes))
    throw new FileFault(
      `Line ${firstBadLine(bytes)} holds bytes that are not UTF-8. Save the file as UTF-8 and try again.`,
    )
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes)
  } catch {
    throw new FileFault(
      'The file begins as UTF-16 but does not go on so. Save it as UTF-8 and try again.',
    )
  }
}

/** The same as UTF-8 bytes without a mark. @throws FileFault */
export function utf8Of(bytes: Uint8Array): Uint8Array {
  if (encodingOf(bytes) !== 'utf-8' || !isUtf8(bytes)) return Buffer.from(decodeText(bytes))
  return bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf ? bytes.subarray(3) : bytes
}

function firstBadLine(bytes: Uint8Array): number {
  let line = 1
  for (let from = 0; from < bytes.length; line++) {
    const end = bytes.indexOf(0x0a, from)
    if (!isUtf8(bytes.subarray(from, end < 0 ? bytes.length : end))) return line
    if (end < 0) break
    from = end + 1
  }
  return line
}

/** JSON of a file. @throws FileFault 400 */
export function parseJson(bytes: Uint8Array): unknown {
  const text = decodeText(bytes)
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new FileFault(
      `The body is not JSON (${(error as Error).message}). Check brackets and quotes.`,
      [],
      400,
    )
  }
}
