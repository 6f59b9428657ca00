import { MessagePort } from 'node:worker_threads'
import { Piscina } from 'piscina'
import type { Problem } from '../../core/sourcing/problem.ts'
import { noPlan, type Plan } from '../../core/sourcing/solve.ts'
import { newId } from '../database/new-id.ts'
import { RestoreGate } from '../restore-gate.ts'
import { FileReader } from './file-reader.ts'
import { Importer } from './importer.ts'
import { ReadingThread } from './reading-thread.ts'
import type { Solved, SolveTask } from './solve-worker.ts'
import { workerUrl } from './worker-url.ts'

export interface JobState {
  readonly id: string
  readonly kind: string
  readonly subject: string
  status: 'running' | 'done' | 'cancelled' | 'failed'
  readonly startedAt: number
  endedAt: number | null
  /** Best plan and bound so far, minor units; null before there is one. */
  best: number | null
  bound: number | null
  error: string | null
  result: unknown
}

interface Running {
  readonly state: JobState
  readonly shared: Float64Array
  readonly abort: AbortController
  readonly finished: Promise<void>
}

/** Solver threads grow and never shrink: a thread is replaced after this many solves. */
const SOLVES_PER_THREAD = 40
/** After a cancel a solver at work is given this long to hand over its best plan, judged: long on a busy machine. */
const PATIENCE_MS = 20_000

/** The one job runner: heavy work on worker threads, with progress and cancel. */
export class JobRunner {
  #pool: Piscina | null = null
  #solves = 0
  readonly #jobs = new Map<string, Running>()
  /** Files people bring, read on threads of their own. */
  readonly files = new FileReader()
  readonly imports = new Importer()
  readonly readings = new ReadingThread()
  /** Lists of thousands are worked out apart, behind all else, so that no page waits for one. */
  readonly #explorers = [new ReadingThread(true), new ReadingThread(true)]
  /** Shut while a backup is put back: a plan that is ready then lands after it, and no other thread has the file open. */
  readonly gate = new RestoreGate(async () => {
    this.#leaveJobs(
      'failed',
      'A backup took the place of the data this was worked out from. Start it again.',
    )
    await Promise.all([this.readings, ...this.#explorers].map((one) => one.letGo()))
  })

  /** Solves in a worker; aborting stops the solver and keeps its best plan, or ends the thread when it does not answer: no plan then. */
  async solve(
    problem: Problem | MessagePort,
    timeLimitMs: number,
    signal?: AbortSignal,
  ): Promise<Plan> {
    return (await this.#solve(problem, timeLimitMs, signal, new SharedArrayBuffer(32))).plan
  }

  async #solve(
    problem: Problem | MessagePort,
    timeLimitMs: number,
    signal: AbortSignal | undefined,
    shared: SharedArrayBuffer,
  ): Promise<Solved> {
    const state = new Float64Array(shared)
    const ended = new AbortController()
    const stop = (): void => {
      state[0] = 1
      // Not begun: there is nothing to hand over.
      if (state[3] === 0) ended.abort()
      else setTimeout(() => ended.abort(), PATIENCE_MS).unref()
    }
    if (signal?.aborted) stop()
    signal?.addEventListener('abort', stop, { once: true })
    try {
      const task: SolveTask = { problem, timeLimitMs, shared }
      return (await this.#threads().run(task, {
        signal: ended.signal,
        transferList: problem instanceof MessagePort ? [problem] : [],
      })) as Solved
    } catch (error) {
      if (problem instanceof MessagePort) problem.close()
      if (!ended.signal.aborted) throw error
      // Stopped before a thread had it, or by one that did not answer: told as any other stop.
      return { plan: noPlan([]), taken: new Map() }
    } finally {
      signal?.removeEventListener('abort', stop)
    }
  }

  /** Starts a job and returns at once; `land` runs when the plan is there. @param problem what is solved, or the port it comes by */
  start(
    kind: string,
    subject: string,
    problem: Problem | MessagePort,
    timeLimitMs: number,
    land: (solved: Solved) => Promise<unknown>,
  ): JobState {
    const shared = new SharedArrayBuffer(32)
    const abort = new AbortController()
    const state: JobState = {
      id: newId(),
      kind,
      subject,
      status: 'running',
      startedAt: Date.now(),
      endedAt: null,
      best: null,
      bound: null,
      error: null,
      result: null,
    }
    const finished = this.#solve(problem, timeLimitMs, abort.signal, shared)
      .then((solved) =>
        this.gate.enter(async () => {
          if (state.status !== 'running') return
          state.result = await land(solved)
          state.status = abort.signal.aborted ? 'cancelled' : 'done'
        }),
      )
      .catch((error: unknown) => {
        if (state.status !== 'running') return
        state.status = abort.signal.aborted ? 'cancelled' : 'failed'
        state.error = error instanceof Error ? error.message : String(error)
      })
      .finally(() => {
        state.endedAt = Date.now()
      })
    this.#jobs.set(state.id, { state, shared: new Float64Array(shared), abort, finished })
    return state
  }

  /** The job under way of a kind for a subject; null where there is none. */
  running(kind: string, subject: string): JobState | null {
    for (const { state } of this.#jobs.values())
      if (state.kind === kind && state.subject === subject && state.status === 'running')
        return this.find(state.id)
    return null
  }

  /** What is under way ends and does not land. */
  #leaveJobs(status: 'failed' | 'cancelled', why: string | null): void {
    for (const { state, abort } of this.#jobs.values()) {
      if (state.status !== 'running') continue
      state.status = status
      state.error = why
      abort.abort()
    }
  }

  find(id: string): JobState | null {
    const job = this.#jobs.get(id)
    if (!job) return null
    if (job.shared[3]! > 0) {
      job.state.best =
        Number.isFinite(job.shared[1]!) && Math.abs(job.shared[1]!) < 1e20 ? job.shared[1]! : null
      job.state.bound =
        Number.isFinite(job.shared[2]!) && Math.abs(job.shared[2]!) < 1e20 ? job.shared[2]! : null
    }
    return job.state
  }

  cancel(id: string): JobState | null {
    this.#jobs.get(id)?.abort.abort()
    return this.find(id)
  }

  /** The thread for lists of thousands that has least to do. */
  get explorer(): ReadingThread {
    return this.#explorers.reduce((one, other) => (other.waiting < one.waiting ? other : one))
  }

  /** Resolves when the job has ended. */
  wait(id: string): Promise<void> {
    return this.#jobs.get(id)?.finished ?? Promise.resolve()
  }

  async close(): Promise<void> {
    this.#leaveJobs('cancelled', null)
    await Promise.all([
      this.#pool?.destroy(),
      this.files.close(),
      this.imports.close(),
      ...[this.readings, ...this.#explorers].map((one) => one.close()),
    ])
  }

  #threads(): Piscina {
    if (
      this.#pool &&
      ++this.#solves > SOLVES_PER_THREAD &&
      this.#pool.queueSize === 0 &&
      this.#pool.utilization === 0
    ) {
      void this.#pool.close()
      this.#pool = null
    }
    if (!this.#pool) {
      this.#solves = 0
      this.#pool = new Piscina({
        ...workerUrl('solve-worker'),
        maxThreads: 2,
        minThreads: 0,
        idleTimeout: 60_000,
      })
    }
    return this.#pool
  }
}
