import type { JointHardware } from '../../core/fasteners/bolt-set.ts'
import type { NumberVerdict } from '../../core/identity/supersession.ts'
import type { Code } from '../../core/joints/code.ts'
import type { DrawingId } from '../../core/joints/joint.ts'
import type { Task, Verdict } from '../../core/joints/verdict.ts'
import type { BuildTotals } from '../../core/money/budget.ts'
import type { Range } from '../../core/money/range.ts'
import type { Need } from '../../core/needs/need.ts'
import type { Strip } from '../../core/pairing/strip.ts'
import type { TorqueStep } from '../../core/pairing/torque-line.ts'
import type { PlateDesign } from '../../core/patterns/plate.ts'
import type { Dowel, Hole, Point } from '../../core/ports/field.ts'
import type { Grade } from '../../core/quantity/grade.ts'
import type { SourceInfo } from '../../core/sourcing/source-info.ts'

/** Shapes the API answers with, as the screens read them. */
export interface Versioned {
  readonly id: string
  readonly version: number
}

export interface Build extends Versioned {
  readonly name: string
  readonly recipientId: string | null
  readonly why: string | null
  readonly use: string | null
  readonly currency: string
  readonly taxRate: number
  readonly labourRateMinor: number
  readonly contingency: number
  readonly likeForLikeMinor: number | null
  readonly mustWork: readonly string[]
  readonly inspection: boolean | null
  readonly school: 'keep' | 'set-back'
  readonly maxSuppliers: number | null
  readonly maxDonors: number | null
}

export interface BuildHeader {
  readonly build: Build
  readonly recipient: string | null
  readonly pairing: string | null
  readonly engineId: string | null
  readonly transmissionId: string | null
  readonly totals: BuildTotals | null
  readonly open: Readonly<Record<'brief' | 'pairing' | 'parts' | 'sourcing', number>>
  readonly next: { readonly words: string; readonly stage: string }
}

export interface PairingRow {
  readonly engineId: string
  readonly engine: string
  readonly transmissionId: string
  readonly transmission: string
  readonly recipients: readonly string[]
  readonly chosen: boolean
  readonly joints: readonly {
    readonly joint: string
    readonly code: Code
    readonly closed: Code | null
    readonly evidence: Grade | null
    readonly missing: number
    readonly claimed: boolean
    readonly conflicts: number
  }[]
  readonly open: number
  readonly minutes: number
  readonly hours: number
  readonly closedBy: readonly string[]
  readonly marginNm: number | null
}

/** What somebody said of a joint, a kit or a finished build as a whole. */
export interface JointClaimRow extends Versioned {
  readonly subject: 'joint' | 'kit' | 'build'
  readonly says: 'yes' | 'no'
  readonly grade: Grade
  readonly sentence: string | null
  readonly source: string | null
  readonly saidBy: string | null
  readonly day: string | null
  readonly distanceKm: number | null
  readonly changes: string | null
  readonly known: number | null
}

export interface JointDetail {
  readonly hardware: JointHardware
  readonly answer: {
    readonly run: 'bare' | 'closed'
    readonly code: Code
    readonly evidence: Grade
    readonly claim: JointClaimRow
  } | null
  readonly conflicts: readonly JointClaimRow[]
  readonly id: string
  readonly joint: string
  readonly title: string
  readonly decides: string
  /** What is drawn of it beside its limits. */
  readonly drawing: DrawingId | null
  readonly number: number
  readonly bare: Verdict
  readonly closed?: Verdict
}

export interface PairingDetail {
  readonly engine: string
  readonly transmission: string
  readonly engineName: string
  readonly transmissionName: string
  readonly engineFamily: string | null
  readonly transmissionFamily: string | null
  readonly chosenPairing: boolean
  readonly joints: readonly JointDetail[]
  readonly sets: readonly {
    readonly parts: readonly string[]
    readonly names: readonly string[]
    readonly closes: 'yes' | 'may'
    readonly missing: readonly string[]
    readonly kits: readonly string[]
  }[]
  readonly chosen: readonly string[]
  readonly chosenNames: readonly string[]
  readonly notes: readonly string[]
  readonly torqueLine: readonly TorqueStep[]
  readonly plate: PlateView | null
  readonly transfer: {
    readonly partId: string | null
    readonly choices: readonly { readonly id: string; readonly name: string }[]
  }
  readonly coupling: readonly {
    readonly kind: string
    readonly words: string
    readonly partId: string | null
    readonly name: string | null
    readonly choices: readonly { id: string; name: string }[]
  }[]
  readonly strip: Strip
}

export interface FaceView {
  readonly name: string
  readonly holes: readonly Hole[]
  readonly dowels: readonly Dowel[]
  readonly outline: readonly Point[]
}
export interface PlateView {
  readonly engine: FaceView
  readonly gearbox: FaceView
  readonly match: {
    readonly met: readonly {
      readonly a: number
      readonly b: number
      readonly residual: number
      readonly play: number
    }[]
    readonly missingA: readonly number[]
    readonly missingB: readonly number[]
    readonly offsetMm: number
    readonly turnDeg: number
    readonly placement: { readonly turn: number; readonly x: number; readonly y: number }
    readonly worstMm: number
  }
  readonly design: PlateDesign
}

export interface PartLine extends Need {
  readonly group: string
  readonly kindWords: string
  readonly wantsName: string | null
  readonly joint: string | null
  readonly source: SourceInfo | null
  readonly costMinor: number | null
  readonly packs: number | null
  /** The first of them. */
  readonly candidates: readonly SourceInfo[]
  readonly candidateCount: number
  readonly estimateMinor: number | null
  /** Where there is no price: what its kind costs, assumed. */
  readonly range: Range | null
  readonly decisions: readonly (Versioned & {
    act: string
    priceMinor: number | null
    source: string | null
  })[]
  readonly state: 'open' | 'planned' | 'kept' | 'work' | 'dropped' | 'estimated' | 'to solve'
  readonly task?: Task
}

export interface PartsList {
  readonly pairing: string | null
  readonly currency: string
  readonly planIsCurrent: boolean
  readonly planStatus: string | null
  readonly lines: readonly PartLine[]
  readonly dropped: readonly (PartLine & { decisionId: string })[]
  readonly excluded: readonly { id: string; why: string }[]
}

export interface Rival {
  readonly id: string
  readonly words: string
  readonly source: string
  readonly number: NumberVerdict
  readonly confirm: readonly string[]
  readonly minor: number | null
  readonly bundle: string | null
}

export interface SourcingView {
  readonly currency: string
  readonly pairing: string | null
  readonly status: 'proven' | 'gap' | 'infeasible' | 'none' | null
  readonly totalMinor: number | null
  readonly boundMinor: number | null
  readonly isCurrent: boolean
  readonly day: string | null
  readonly needs: number
  readonly lines: readonly {
    readonly need: string
    readonly words: string
    readonly quantity: number
    readonly candidate?: string
    readonly bundle?: string
    readonly bundleName: string | null
    readonly packs: number
    readonly costMinor: number
    readonly source: SourceInfo | null
    /** The first of them, cheapest bought ones behind what is had or comes with a bundle. */
    readonly rivals: readonly Rival[]
    readonly rivalCount: number
  }[]
  readonly baskets: readonly {
    readonly supplier: string
    readonly name: string
    readonly shippingMinor: number
    readonly goodsMinor: number
    readonly items: readonly string[]
  }[]
  readonly bundles: readonly {
    readonly bundle: string
    readonly name: string
    readonly priceMinor: number
    readonly scrapMinor: number
    readonly resaleMinor: number
    readonly stripMinor: number
  }[]
  readonly open: readonly { readonly id: string; readonly words: string; readonly waits: string }[]
  readonly locks: readonly (Versioned & {
    readonly words: string
    readonly way: 'in' | 'out'
    readonly candidate: string | null
    readonly bundle: string | null
    readonly supplierId: string | null
  })[]
  readonly because: readonly string[] | null
  readonly excluded: readonly { id: string; why: string }[]
}

export interface JobView {
  readonly id: string
  readonly status: 'running' | 'done' | 'cancelled' | 'failed'
  readonly best: number | null
  readonly bound: number | null
  readonly error: string | null
  readonly elapsedMs: number
}

export interface BudgetPage {
  readonly totals: BuildTotals | null
  readonly lines: readonly {
    readonly words: string
    readonly group: string
    readonly source: string
    readonly from: string
    readonly minor: number
  }[]
  readonly byGroup: readonly { readonly name: string; readonly minor: number }[]
  readonly bySource: readonly { readonly name: string; readonly minor: number }[]
  readonly open: readonly { readonly id: string; readonly words: string; readonly waits: string }[]
}

export interface PartRow extends Versioned {
  readonly kind: string
  readonly name: string
  readonly ownerId: string | null
  readonly fromYear: number | null
  readonly toYear: number | null
  readonly numbers: readonly string[]
}

export interface ClaimView extends Versioned {
  readonly shown: string
  readonly typed: string | null
  readonly plusMinus: number | null
  readonly grade: Grade
  readonly method: string | null
  readonly source: string | null
  readonly saidBy: string | null
  readonly day: string | null
  readonly used: boolean
  readonly thisVeryPart: boolean
}

export interface FieldView {
  readonly name: string
  readonly label: string
  readonly unit: string
  readonly type: string
  readonly choices: readonly string[] | null
  readonly methods: readonly {
    readonly id: string
    readonly words: string
    readonly plusMinus: number
  }[]
  readonly value: unknown
  readonly plusMinus: number | null
  readonly grade: Grade | null
  readonly conflict: boolean
  readonly claims: readonly ClaimView[]
}

export interface PartDetail extends Omit<PartRow, 'numbers'> {
  readonly note: string | null
  readonly ports: readonly {
    readonly id: string
    readonly kind: string
    readonly slot: string
    readonly looks: string | null
    readonly title: string
    readonly fields: readonly FieldView[]
  }[]
  readonly numbers: readonly {
    readonly id: string
    readonly issuer: string
    readonly number: string
  }[]
  readonly supersessions: readonly {
    readonly id: string
    readonly issuer: string
    readonly oldNumber: string
    readonly newNumber: string
    readonly oneWay: boolean
  }[]
}

export interface Bundle extends Versioned {
  readonly name: string
  readonly priceMinor: number
  readonly currency: string
  readonly items: readonly {
    readonly id: string
    readonly partId: string
    readonly partName: string
    readonly partKind: string
    readonly quantity: number
  }[]
  readonly supplierId?: string | null
  readonly omits?: string | null
  readonly note: string | null
}

export interface Supplier extends Versioned {
  readonly name: string
  readonly place: string | null
  readonly currency: string
  readonly minimumMinor: number
  readonly shippingMinor: number
  readonly freeOverMinor: number | null
}
