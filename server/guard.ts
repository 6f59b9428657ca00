import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { hash, verify } from '@node-rs/argon2'
import { ProblemError, UnprocessableError } from './errors.ts'

const SESSION_MS = 30 * 24 * 3600 * 1000
const WINDOW_MS = 15 * 60 * 1000
const TRIES_PER_ADDRESS = 5
const TRIES_IN_ALL = 40
const SHORTEST = 6

/** Too many tries: says when to come back. */
export class TooManyTriesError extends ProblemError {
  readonly retryAfterS: number
  constructor(retryAfterS: number) {
    super(429, `Too many wrong passcodes. Wait ${Math.ceil(retryAfterS / 60)} minutes and try again.`)
    this.retryAfterS = retryAfterS
  }
}

/**
 * The passcode of a Junket that other machines can reach: an argon2id hash in a file beside the data, sessions in
 * memory (a restart signs everybody out), tries limited by address and in all.
 */
export class Guard {
  readonly #file: string
  readonly #asks: boolean
  readonly #now: () => number
  readonly #sessions = new Map<string, number>()
  #failures: { address: string; at: number }[] = []

  /** @param asks true where Junket is bound beyond this machine */
  constructor(file: string, asks: boolean, now: () => number = Date.now) {
    this.#file = file
    this.#asks = asks
    this.#now = now
  }

  get asks(): boolean {
    return this.#asks
  }

  get hasPasscode(): boolean {
    return existsSync(this.#file)
  }

  /** Sets or changes the passcode; signs everybody out. @throws UnprocessableError */
  async setPasscode(passcode: string): Promise<void> {
    if (passcode.length < SHORTEST)
      throw new UnprocessableError(`A passcode has at least ${SHORTEST} characters.`, [{ path: 'passcode', message: `At least ${SHORTEST} characters.` }])
    const text = await hash(passcode, { memoryCost: 19_456, timeCost: 2, parallelism: 1 })
    writeFileSync(`${this.#file}.new`, `${text}\n`, { mode: 0o600 })
    renameSync(`${this.#file}.new`, this.#file)
    this.#sessions.clear()
  }

  /** A session's token for the right passcode. @throws ProblemError 401 · TooManyTriesError */
  async signIn(passcode: string, address: string): Promise<string> {
    const now = this.#now()
    this.#failures = this.#failures.filter((one) => now - one.at < WINDOW_MS)
    const own = this.#failures.filter((one) => one.address === address)
    if (own.length >= TRIES_PER_ADDRESS || this.#failures.length >= TRIES_IN_ALL) throw new TooManyTriesError((WINDOW_MS - (now - (own[0] ?? this.#failures[0]!).at)) / 1000)
    // Counted before it is checked: tries sent at once are counted too.
    const attempt = { address, at: now }
    this.#failures.push(attempt)
    const isRight = this.hasPasscode && (await verify(readFileSync(this.#file, 'utf8').trim(), passcode))
    if (!isRight) throw new ProblemError(401, 'That is not the passcode of this shop. Try again.')
    this.#failures = this.#failures.filter((one) => one !== attempt)
    const token = randomBytes(32).toString('base64url')
    this.#sessions.set(token, now + SESSION_MS)
    return token
  }

  isSignedIn(token: string | undefined): boolean {
    const until = token === undefined ? undefined : this.#sessions.get(token)
    return until !== undefined && until > this.#now()
  }

  signOut(token: string | undefined): void {
    if (token !== undefined) this.#sessions.delete(token)
  }
}
