import { CAUTIONS } from './cautions.ts'
import { NO, standsOn, type View, YES } from './condition.ts'
import { type Fact, Facts } from './from-pairing/facts.ts'
import { FROM_PAIRING, RAISES } from './from-pairing/index.ts'
import type { RuleInput } from './from-pairing/rule.ts'
import type { LineRow } from './line.ts'
import { factsBehind, type KnownFacts, type Line, linesOf } from './line-list.ts'
import { LINE_ROWS } from './lines/index.ts'
import { intersect, joinReasons, type Need, type NewNeed, need, seeks } from './need.ts'
import { type Recipe, rowsOfRecipes } from './recipe.ts'

export interface NeedsInput {
  readonly facts: KnownFacts
  /** What the chosen pairing says: parts, counts, threads. */
  readonly pairing?: readonly Fact[]
  readonly joints?: RuleInput['joints']
  readonly recipes?: readonly Recipe[]
  /** Engine, gearbox, transfer case and vehicle of the build, by id: some recipes are of one. */
  readonly parts?: ReadonlySet<string>
  readonly rows?: readonly LineRow[]
}

export interface PlannedNeeds {
  /** What stands, leans to yes or is open, by id. */
  readonly needs: readonly Need[]
  /** Left out because a type says so: one press asks. */
  readonly folded: readonly Need[]
  /** Every row that was asked, the shop's own among them. */
  readonly rows: readonly LineRow[]
}

/**
 * What a build needs: lines whose reasons its facts give, with what the chosen pairing says of them. A joint's work and a
 * bridge's piece that no line names are lines of their own. By id.
 */
export function planNeeds({
  facts,
  pairing = [],
  joints = [],
  recipes = [],
  parts,
  rows = LINE_ROWS,
}: NeedsInput): PlannedNeeds {
  const own = rowsOfRecipes(recipes, pairing, parts)
  const asked = own.length === 0 ? rows : [...rows, ...own]
  const lines = linesOf(asked, facts)
  const listed = new Set(
    lines.flatMap(({ row, outcome }) => (outcome === 'folded' ? [] : row.kind)),
  )
  const view: View = {
    fact: (key) => facts[key]?.value,
    line: (kind) => (listed.has(kind) ? YES : NO),
  }
  const sure = new Set(lines.flatMap(({ row, outcome }) => (outcome === 'yes' ? row.kind : [])))
  const all = lines
    // A way out that was chosen answers what it is the way out of.
    .filter(({ row }) => !row.cured?.some((kind) => sure.has(kind)))
    .flatMap((line) => needsOfLine(line, facts, view))
  const standing = all.filter(({ outcome }) => outcome !== 'folded')
  const needs = new Map(standing.map((one) => [one.id, one]))
  const said = new Facts(pairing)
  const kinds = new Set(standing.map(seeks))
  for (const rule of FROM_PAIRING)
    for (const more of rule.run({ facts: said, joints, has: (kind) => kinds.has(kind) })) {
      const same = standing.filter(
        ({ id, slot }) => slot !== AGAIN && seeks(needs.get(id)!) === more.kind,
      )
      if (more.task === undefined && same.length > 0)
        for (const { id } of same) needs.set(id, joined(needs.get(id)!, more))
      else if (RAISES.has(rule)) {
        const own = need({ ...more, rests: restsOf(more) })
        const held = needs.get(own.id)
        needs.set(own.id, held ? joined(held, more) : own)
      }
    }
  const byId = (p: Need, q: Need): number => (p.id < q.id ? -1 : 1)
  return {
    needs: [...needs.values()].sort(byId),
    folded: all.filter(({ outcome }) => outcome === 'folded').sort(byId),
    rows: asked,
  }
}

/** Slot of what is bought a second time. */
const AGAIN = 'again'

function needsOfLine(
  { row, id, outcome, level, spoken, because }: Line,
  facts: KnownFacts,
  view: View,
): Need[] {
  const [, , slot = 'main'] = id.split('/')
  const one = need({
    kind: row.kind,
    place: row.place,
    slot,
    words: row.words,
    quantity: row.quantity ?? 1,
    level: outcome === 'yes' ? level : 'confirm',
    would: level,
    outcome,
    because,
    stage: row.stage,
    sort: row.sort,
    eur: row.eur,
    hours: row.hours,
    waits: row.waits ?? 'nothing',
    why: spoken.map(({ says, if: condition }) => {
      const { facts: on, lines } = standsOn(condition, view)
      const [parent] = lines
      return {
        rule: 'line',
        words: says,
        facts: [...on],
        ...(parent === undefined ? {} : { parent }),
      }
    }),
    cautions: (row.caution ?? []).map((caution) => CAUTIONS[caution]),
    ...(row.part === undefined ? {} : { part: row.part }),
    ...(row.comes === undefined ? {} : { comes: row.comes }),
    ...(row.work === undefined ? {} : { work: row.work }),
    ...(row.comes?.includes('recipient') ? { keep: true } : {}),
    rests: factsBehind
      .of(spoken.map((reason) => reason.if))
      .map((key) => `${key}=${facts[key]?.value ?? '?'}`)
      .join(' '),
  })
  if (row.renew !== 'twice') return [one]
  return [
    one,
    {
      ...one,
      slot: AGAIN,
      id: `${row.kind}/${row.place}/${AGAIN}`,
      words: `${row.words}, again`,
      waits: 'first run',
      stage: 'shakedown',
    },
  ]
}

/** A need with what the pairing says of it. */
function joined(one: Need, more: NewNeed): Need {
  const { constraints, conflict } = intersect([...one.constraints, ...(more.constraints ?? [])])
  const wants = [one.wants, more.wants].filter((id) => id !== undefined).sort()[0]
  return {
    ...one,
    words: one.kind === more.kind || one.wants === undefined ? wordsOf(one, more) : one.words,
    quantity: Math.max(one.quantity, more.quantity ?? 1),
    why: joinReasons(one.why, more.why),
    constraints,
    cautions: [...new Set([...one.cautions, ...(more.cautions ?? [])])],
    rests: [one.rests, restsOf(more)].filter(Boolean).join(' '),
    ...(wants === undefined ? {} : { wants }),
    ...(more.keep ? { keep: true } : {}),
    ...(conflict === undefined ? {} : { conflict }),
  }
}

/** The pairing names the very part, or its thread; a kind's own word says less than the line does. */
const wordsOf = (one: Need, { kind, words, wants }: NewNeed): string =>
  one.kind === kind && (wants !== undefined || /\d/.test(words)) ? words : one.words

const restsOf = ({ kind, quantity, constraints, task, wants }: NewNeed): string =>
  [
    wants === undefined && task === undefined ? '' : `${kind}=${wants ?? task?.id}`,
    quantity === undefined ? '' : `count=${quantity}`,
    ...(constraints ?? []).map(
      ({ field, equals, low, high }) =>
        `${field ?? 'part'}=${equals ?? `${low ?? ''}..${high ?? ''}`}`,
    ),
  ]
    .filter(Boolean)
    .join(' ')
