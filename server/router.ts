import { OpenAPIHono } from '@hono/zod-openapi'
import type { Logger } from 'pino'
import { validationProblem } from './../contract/problem.ts'
import type { Guard } from './access/guard.ts'
import type { Store } from './database/store.ts'
import type { PhotoMaker } from './jobs/photo-maker.ts'
import type { JobRunner } from './jobs/runner.ts'
import { problem } from './problem.ts'
import type { PhotoFiles } from './services/catalogue/photo-files.ts'
import type { FetchTerms } from './services/importing/fetch-feed.ts'
import type { Backups } from './services/keeping/backups.ts'

/** What every group of routes is given. */
export interface Services {
  readonly store: Store
  readonly jobs: JobRunner
  readonly log?: Logger
  /** How suppliers' prices are fetched, where not as always. */
  readonly fetching?: FetchTerms
  /** Folder of the built interface; absent in tests. */
  readonly web?: string
  /** Pictures beside the data; absent for data in memory. */
  readonly photos?: { readonly files: PhotoFiles; readonly maker: PhotoMaker }
  /** Copies of the data; absent for data in memory. */
  readonly backups?: Backups
  /** Who may come in; absent in tests: everybody. */
  readonly guard?: Guard
  /** Names it is reached by beyond this machine's own. */
  readonly names?: readonly string[]
  /** Where the data is, for sentences about the disk. */
  readonly folder?: string
}

export type App = OpenAPIHono

/** A router whose faults of form are told as problem details. */
export const newRouter = (): App =>
  new OpenAPIHono({
    defaultHook: (result) => {
      if (!result.success) return problem(validationProblem(result.error.issues, result.target))
    },
  })
