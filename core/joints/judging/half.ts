import type { Read } from './read.ts'
import { type Input, leavesOf, lookUp, NO_GRADE, type Scene, type Share } from './scene.ts'

/*
 * What a limit reads may come in two halves, looked up apart: one for everything the engine brings, one for everything
 * the gearbox brings. A record puts all of it in the first.
 */

/** Which half everything in a scene belongs to. */
export interface Owner {
  /** Null for a sum both halves share. @throws UnsplitError where a read leans on both otherwise */
  readonly read: (read: Read) => 0 | 1 | null
  readonly part: (index: number) => 0 | 1
}

/** All of it in the first half. */
export const WHOLE: Owner = { read: () => 0, part: () => 0 }

/** Inputs of one formula in one half; null where the other half has it. Of a sum both halves share, each has its part. */
export interface Inputs {
  readonly list: readonly (Input | null)[]
  /** The formula leans on this half alone. */
  readonly isWhole: boolean
  /** It leans on the other alone. */
  readonly isNone: boolean
}

/** A figure with its ends. */
export interface Solved {
  readonly figure: any
  readonly least: number
  readonly most: number
}

/** What one half brings to a limit. */
export interface Half {
  readonly isKnown: boolean
  readonly weakest: number
  /** Σ of the terms in this half, and of their ±. */
  readonly sum: number
  readonly pm: number
  readonly guards: readonly Inputs[]
  readonly main: readonly Inputs[]
  readonly rungs: readonly Inputs[]
  readonly asks: readonly (Input | null)[]
  /** Formulas that lean on this half alone, solved when first loaded. */
  readonly solved: (Solved | undefined)[]
}

/** The other half where all of it is in one. */
export const EMPTY_HALF: Half = {
  isKnown: true,
  weakest: NO_GRADE,
  sum: 0,
  pm: 0,
  guards: [],
  main: [],
  rungs: [],
  asks: [],
  solved: [],
}

export interface PartFormula {
  readonly reads: readonly (Read | null)[]
  readonly isWhole: boolean
  readonly isNone: boolean
}

/** One half of what a limit reads. */
export class Part {
  constructor(
    readonly names: readonly Read[],
    readonly terms: readonly { readonly sign: 1 | -1; readonly of: Read<number> }[],
    readonly guards: readonly PartFormula[],
    readonly main: readonly PartFormula[],
    readonly rungs: readonly PartFormula[],
    readonly asks: readonly (Read | null)[],
    readonly share: Share | undefined,
  ) {}

  /** Reads nothing at all: it is the same in every scene. */
  get isEmpty(): boolean {
    const reads = ({ reads }: PartFormula): boolean => reads.some((read) => read !== null)
    return (
      this.names.length === 0 &&
      this.terms.length === 0 &&
      !this.guards.some(reads) &&
      !this.main.some(reads) &&
      !this.rungs.some(reads) &&
      this.asks.every((read) => read === null)
    )
  }

  /** What tells two scenes apart for it: the fields it comes to, its values that are none, and which formulas it has whole. */
  signature(scene: Scene): unknown[] {
    const reads = [
      ...this.names,
      ...this.terms.map(({ of }) => of),
      ...[...this.guards, ...this.main, ...this.rungs].flatMap((formula) => formula.reads),
      ...this.asks,
    ].filter((read) => read !== null)
    const wholes = [...this.guards, ...this.main, ...this.rungs].map(({ isWhole }) => isWhole)
    return [
      ...wholes,
      ...reads.flatMap((read) => {
        const leaves = leavesOf(read, scene, this.share)
        return leaves.length > 0 && read.source.at !== 'item'
          ? leaves
          : [...leaves, lookUp(read, scene, this.share).v]
      }),
    ]
  }

  half(scene: Scene): Half {
    let isKnown = true
    let weakest = NO_GRADE
    let sum = 0
    let pm = 0
    const { share } = this
    for (const read of this.names) {
      const { claim, grade } = lookUp(read, scene, share)
      if (claim === null) isKnown = false
      if (grade >= 0 && grade < weakest) weakest = grade
    }
    for (const { sign, of } of this.terms) {
      const input = lookUp(of, scene, share)
      if (input.claim === null) isKnown = false
      if (input.grade >= 0 && input.grade < weakest) weakest = input.grade
      sum += sign * input.v
      pm += input.pm
    }
    const main: Inputs[] = []
    for (const formula of this.main) {
      const inputs = inputsOf(formula, scene, share)
      main.push(inputs)
      for (let k = 0; k < inputs.list.length; k++) {
        const input = inputs.list[k]
        if (!input || formula.reads[k]!.isAside) continue
        if (input.claim === null) isKnown = false
        if (input.grade >= 0 && input.grade < weakest) weakest = input.grade
      }
    }
    return {
      isKnown,
      weakest,
      sum,
      pm,
      guards:
        this.guards.length === 0
          ? NO_INPUTS
          : this.guards.map((formula) => inputsOf(formula, scene, share)),
      main,
      rungs:
        this.rungs.length === 0
          ? NO_INPUTS
          : this.rungs.map((formula) => inputsOf(formula, scene, share)),
      asks:
        this.asks.length === 0
          ? NO_ASKS
          : this.asks.map((read) => read && lookUp(read, scene, share)),
      solved: [],
    }
  }
}

const NO_INPUTS: readonly Inputs[] = []
const NO_ASKS: readonly null[] = []
const inputsOf = (
  { reads, isWhole, isNone }: PartFormula,
  scene: Scene,
  share: Share | undefined,
): Inputs => ({
  list: reads.map((read) => read && lookUp(read, scene, share)),
  isWhole,
  isNone,
})
