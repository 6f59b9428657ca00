import type { Need } from '../needs/need.ts'
import type { Market, OfferRow } from './market.ts'
import { type NumberSays, numberSays } from './number-says.ts'
import {
  type KnownNumber,
  kindsListed,
  type NumbersOf,
  type NumbersWanted,
  numbersWanted,
} from './numbers-wanted.ts'

const NONE: readonly KnownNumber[] = []

/** What the numbers of a market say to the needs of one build, on one day. */
export class NumbersAsked {
  readonly #market: Pick<Market, 'numbers' | 'serving' | 'issuers'>
  readonly #build: NumbersOf
  readonly #day: string
  readonly #kinds: ReadonlySet<string>
  readonly #wanted = new Map<string, NumbersWanted>()

  constructor(
    market: Pick<Market, 'numbers' | 'serving' | 'issuers' | 'parts'>,
    build: NumbersOf,
    day: string,
  ) {
    this.#market = market
    this.#build = build
    this.#day = day
    this.#kinds = kindsListed(
      market.serving,
      build.application,
      (part) => market.parts.get(part)?.kind,
    )
  }

  /** What a need wants of numbers: the same object each time. */
  wantedFor(need: Need): NumbersWanted {
    let found = this.#wanted.get(need.id)
    if (!found) {
      found = numbersWanted(
        need,
        this.#build,
        (part) => this.#market.numbers.get(part) ?? NONE,
        this.#kinds,
      )
      this.#wanted.set(need.id, found)
    }
    return found
  }

  /** What is said of a part for a need, sold under a number of its own or not. */
  of(need: Need, part: string, offer?: Pick<OfferRow, 'issuerId' | 'number'>): NumberSays {
    const own = this.#market.numbers.get(part) ?? NONE
    return numberSays(
      this.wantedFor(need),
      offer ? [...own, ...this.#listedAs(offer)] : own,
      this.#market.serving,
      this.#day,
    )
  }

  /** The number an offer is listed under: as good as the list it stands in. */
  #listedAs({ issuerId, number }: Pick<OfferRow, 'issuerId' | 'number'>): readonly KnownNumber[] {
    return issuerId && number
      ? [
          {
            issuer: this.#market.issuers.get(issuerId) ?? issuerId,
            number,
            mark: 'catalogue',
            grade: 'catalogue',
          },
        ]
      : NONE
  }

  /** Everything it answers from, for whoever remembers answers. */
  get madeOf(): readonly unknown[] {
    return [this.#market.serving, this.#market.issuers]
  }
  /** The rest of it, in words. */
  words(need: Need): string {
    return JSON.stringify([this.wantedFor(need), this.#day])
  }
}
