import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { hash, verify } from '@node-rs/argon2'
import { ProblemError, UnprocessableError } from '../errors.ts'
import { Tries } from './tries.ts'

const SESSION_MS = 30 * 24 * 3600 * 1000
const SHORTEST = 8
/** Passcodes weighed at once, and how many may wait for it: the work is capped, whoever asks. */
const AT_ONCE = 2
const MOST_WAITING = 24

/** Too many tries: says when to come back. */
export class TooManyTriesError extends ProblemError {
  readonly retryAfterS: number
  constructor(retryAfterS: number, message: string) {
    super(429, message)
    this.retryAfterS = retryAfterS
  }
}

/**
 * The passcode of a Junket that other machines can reach: an argon2id hash in a file beside the data, and sessions in
 * memory (a restart signs everybody out). Wrong tries make their own address wait, longer each time; nobody else.
 */
export class Guard {
  readonly #file: string
  readonly #asks: boolean
  readonly #now: () => number
  readonly #sessions = new Map<string, number>()
  readonly #tries: Tries
  /** Addresses that once gave the right passcode: they go first where many wait. */
  readonly #known = new Set<string>()
  #weighing = 0
  readonly #waiting: {
    readonly isKnown: boolean
    readonly go: () => void
    readonly drop: () => void
  }[] = []

  /** @param asks true where Junket is bound beyond this machine */
  constructor(file: string, asks: boolean, now: () => number = Date.now) {
    this.#file = file
    this.#asks = asks
    this.#now = now
    this.#tries = new Tries(now)
  }

  get asks(): boolean {
    return this.#asks
  }

  get hasPasscode(): boolean {
    return existsSync(this.#file)
  }

  /** Sets the passcode; signs everybody out. @throws UnprocessableError */
  async setPasscode(passcode: string): Promise<void> {
    if (passcode.length < SHORTEST)
      throw new UnprocessableError(`A passcode has at least ${SHORTEST} characters.`, [
        { path: 'passcode', message: `At least ${SHORTEST} characters.` },
      ])
    const text = await hash(passcode, { memoryCost: 19_456, timeCost: 2, parallelism: 1 })
    writeFileSync(`${this.#file}.new`, `${text}\n`, { mode: 0o600 })
    renameSync(`${this.#file}.new`, this.#file)
    this.#sessions.clear()
  }

  /**
   * Changes the passcode for who is signed in, and signs everybody else out. Wrong tries of others do not count here. At
   * the machine itself, where nothing is asked, the old one is not asked either: that is the way back.
   *
   * @returns the new session's token
   * @throws UnprocessableError where the old one is wrong or the new one too short · TooManyTriesError
   */
  async changePasscode(
    passcode: string,
    old: string | undefined,
    token: string | undefined,
  ): Promise<string> {
    if (this.#asks && this.hasPasscode) {
      if (!old)
        throw new UnprocessableError('Give the passcode used until now as well.', [
          { path: 'old', message: 'The passcode used until now.' },
        ])
      if (!(await this.#isRight(old, `session ${token}`)))
        throw new UnprocessableError(
          'That is not the passcode used until now. Nothing was changed.',
          [{ path: 'old', message: 'Not the passcode.' }],
        )
    }
    await this.setPasscode(passcode)
    return this.#open()
  }

  /** A session's token for the right passcode. @throws ProblemError 401 · TooManyTriesError */
  async signIn(passcode: string, address: string): Promise<string> {
    const from = networkOf(address)
    if (!(await this.#isRight(passcode, from)))
      throw new ProblemError(401, 'That is not the passcode of this shop. Try again.')
    if (this.#known.size < 10_000) this.#known.add(from)
    return this.#open()
  }

  isSignedIn(token: string | undefined): boolean {
    const until = token === undefined ? undefined : this.#sessions.get(token)
    return until !== undefined && until > this.#now()
  }

  signOut(token: string | undefined): void {
    if (token !== undefined) this.#sessions.delete(token)
  }

  #open(): string {
    const now = this.#now()
    for (const [old, until] of this.#sessions) if (until <= now) this.#sessions.delete(old)
    const token = randomBytes(32).toString('base64url')
    this.#sessions.set(token, now + SESSION_MS)
    return token
  }

  async #isRight(passcode: string, from: string): Promise<boolean> {
    const wait = this.#tries.waitMs(from)
    if (wait > 0)
      throw new TooManyTriesError(
        wait / 1000,
        `That was wrong too often from here. Wait ${said(wait / 1000)} and try again.`,
      )
    // Counted before it is weighed: tries sent at once are counted too.
    this.#tries.failed(from)
    await this.#turn(from)
    try {
      const isRight =
        this.hasPasscode && (await verify(readFileSync(this.#file, 'utf8').trim(), passcode))
      if (isRight) this.#tries.passed(from)
      return isRight
    } finally {
      this.#weighing--
      this.#waiting.shift()?.go()
    }
  }

  async #turn(from: string): Promise<void> {
    if (this.#weighing < AT_ONCE) {
      this.#weighing++
      return
    }
    await new Promise<void>((resolve, reject) => {
      const drop = (): void => {
        this.#tries.untried(from)
        reject(
          new TooManyTriesError(2, 'Many are signing in just now. Wait two seconds and try again.'),
        )
      }
      const isKnown = this.#known.has(from)
      const last = isKnown ? this.#waiting.findIndex((one) => !one.isKnown) : -1
      const one = { isKnown, go: resolve, drop }
      if (last >= 0) this.#waiting.splice(last, 0, one)
      else this.#waiting.push(one)
      if (this.#waiting.length > MOST_WAITING) this.#waiting.pop()!.drop()
    })
    this.#weighing++
  }
}

const said = (seconds: number): string =>
  seconds < 90 ? `${Math.ceil(seconds)} seconds` : `${Math.ceil(seconds / 60)} minutes`

/** Who can change the rest of their address at will counts as one: the /64 of IPv6. */
function networkOf(address: string): string {
  const plain = address.replace(/^::ffff:(?=\d+\.)/i, '')
  if (!plain.includes(':')) return plain
  const [front = '', back] = plain.split('%')[0]!.split('::') as [string, string?]
  const head = front.split(':').filter(Boolean)
  const tail = (back ?? '').split(':').filter(Boolean)
  const whole =
    back === undefined
      ? head
      : [
          ...head,
          ...Array.from({ length: Math.max(0, 8 - head.length - tail.length) }, () => '0'),
          ...tail,
        ]
  return `${whole.slice(0, 4).join(':')}::/64`
}
