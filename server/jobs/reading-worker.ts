import { type MessagePort, parentPort, workerData } from 'node:worker_threads'
import { keepMatchesOn } from '../../core/joints/search/pattern-match.ts'
import { announce, type PackedChange } from '../database/changes.ts'
import { connect, onlyRead } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { FileFault } from '../documents/file-fault.ts'
import { ProblemError } from '../errors.ts'
import { type KeptMatch, readMatches } from './match-shelf.ts'
import { type ReadingName, readAs } from './readings.ts'
import { stepBack } from './step-back.ts'

/** To the thread: what another connection wrote, what is asked, to let go of the file, or that it is over. */
export type ToReading =
  | { readonly change: PackedChange }
  | {
      readonly id: number
      readonly name: ReadingName
      readonly args: readonly unknown[]
      readonly port?: MessagePort
    }
  | 'let-go'
  | 'close'
/** From it: an answer, or why there is none; what was found on the way and is worth keeping; or that it let go. */
export type FromReading =
  | { readonly id: number; readonly answer: Uint8Array<ArrayBuffer> }
  | { readonly id: number; readonly fault: Fault }
  | { readonly found: readonly KeptMatch[] }
  | 'let-go'
export interface Fault {
  readonly kind: 'problem' | 'file' | 'other'
  readonly message: string
  readonly status?: number
  readonly extra?: Record<string, unknown>
  readonly faults?: FileFault['faults']
  readonly code?: string | undefined
  readonly stack?: string | undefined
}

const { database, isBehind } = workerData as { database: string; isBehind: boolean }
if (isBehind) stepBack()
const knex = connect(database)
const store = new Store(knex)
const port = parentPort!
const send = (message: FromReading): void =>
  port.postMessage(
    message,
    typeof message === 'object' && 'answer' in message ? [message.answer.buffer] : [],
  )

const ready = (): Promise<void> =>
  onlyRead(knex)
    .then(() => readMatches(knex, (found) => send({ found })))
    .then(keepMatchesOn)
let isReady = ready()
let isOpen = true

/** The file stands open from the start until it is let go of, and again once something is asked. */
function open(): Promise<void> {
  if (isOpen) return isReady
  isOpen = true
  isReady = isReady.then(() => {
    knex.initialize()
    store.replaced()
    return ready()
  })
  return isReady
}

function letGo(): void {
  isOpen = false
  isReady = isReady.catch(() => undefined).then(() => knex.destroy())
  void isReady.then(() => send('let-go'))
}

port.on('message', (message: ToReading) => {
  if (message === 'close') void knex.destroy().then(() => port.close())
  else if (message === 'let-go') letGo()
  else if ('change' in message) announce(knex, message.change)
  else
    open()
      .then(() =>
        readAs(store, message.name, message.port ? [...message.args, message.port] : message.args),
      )
      .then(
        (answer) => send({ id: message.id, answer }),
        (error: unknown) => {
          message.port?.close()
          send({ id: message.id, fault: faultOf(error) })
        },
      )
})

function faultOf(error: unknown): Fault {
  if (error instanceof ProblemError)
    return { kind: 'problem', message: error.message, status: error.status, extra: error.extra }
  if (error instanceof FileFault)
    return { kind: 'file', message: error.message, status: error.status, faults: error.faults }
  const {
    message = String(error),
    code,
    stack,
  } = (error ?? {}) as { message?: string; code?: string; stack?: string }
  return { kind: 'other', message, code, stack }
}
