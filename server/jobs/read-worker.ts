import { once } from 'node:events'
import type { MessagePort } from 'node:worker_threads'
import { FileFault } from '../documents/file-fault.ts'
import { type FileKind, type FileOptions, readFileOf } from '../documents/read-file.ts'
import { stepBack } from './step-back.ts'

export interface ReadTask {
  readonly kind: FileKind
  readonly bytes: Uint8Array
  readonly options: FileOptions
  /** Where what was read goes, a batch at a time; each is answered once it is taken. */
  readonly port: MessagePort
}

export type ReadMessage =
  | { readonly batch: unknown }
  | {
      readonly fault: {
        readonly message: string
        readonly faults: FileFault['faults']
        readonly status: 400 | 422
      }
    }
  | { readonly end: true }

stepBack()

export default async function read({ kind, bytes, options, port }: ReadTask): Promise<void> {
  const send = (message: ReadMessage): void => port.postMessage(message)
  try {
    // One batch ahead of whoever takes them, no more: a flood of messages is read all in one turn on the other side.
    for await (const batch of readFileOf(kind, bytes, options)) {
      send({ batch })
      await once(port, 'message')
    }
    send({ end: true })
  } catch (error) {
    if (!(error instanceof FileFault)) throw error
    send({ fault: { message: error.message, faults: error.faults, status: error.status } })
  } finally {
    port.close()
  }
}
