import { DropdownMenu } from 'radix-ui'
import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { lights } from '../../components/lit-joint.ts'
import { type Frame, onPage } from './frame.ts'
import { labelRow } from './label-row.ts'
import type { Scene } from './scene.ts'
import { type StripJoint, type StripLabel, stripLabels } from './strip-joints.ts'

interface Placed {
  readonly key: string
  readonly label: StripLabel
  readonly left: number
  readonly width: number
  /** Only its shape: the words of all would not fit. */
  readonly isShort: boolean
}

export interface Labels {
  readonly over: readonly Placed[]
  readonly under: readonly Placed[]
  readonly leaders: readonly { readonly key: string; readonly path: string }[]
}

/** Heights of the strip, px: a row of labels, the leaders under it, the ruler. */
export const LABELS = 28
export const RULER = 20
const LABELS_TOP = 4
const LEADERS = 14
export const STRIP_TOP = LABELS_TOP + LABELS + LEADERS

const SHAPE = 30
const COUNT = 16
const GAP = 8
const LETTER = 6.2
const EDGE = 6

const keyOf = (label: StripLabel): string =>
  label.kind === 'joint' ? `joint ${label.joint.joint}` : `settled ${label.area.id}`
const wordsOf = (label: StripLabel): string =>
  label.kind === 'joint' ? label.joint.short : `${label.joints.length} ${label.area.words}`

/** Labels in their rows and the leaders from each to its place. */
export function stripRows({
  train,
  scene,
  joints,
  selected,
  frame,
  width,
  foot,
}: {
  train: TrainFigure
  scene: Scene
  joints: readonly StripJoint[]
  selected: string | null
  frame: Frame
  width: number
  /** Where labels under the train begin, px. */
  foot: number
}): Labels {
  const { over, under } = stripLabels(joints, train.joints, selected)
  const at = (label: StripLabel) => onPage(frame, scene.places[label.place])
  const row = (labels: readonly StripLabel[]): readonly Placed[] => {
    // Where words do not fit, what is settled gives up its first, then the rest.
    const widths = [
      labels.map((label) => SHAPE + wordsOf(label).length * LETTER),
      labels.map((label) =>
        label.kind === 'settled' ? SHAPE + COUNT : SHAPE + wordsOf(label).length * LETTER,
      ),
      labels.map((label) => (label.kind === 'settled' ? SHAPE + COUNT : SHAPE)),
    ]
    const fits = widths.findIndex(
      (all) => all.reduce((sum, wide) => sum + wide + GAP, 0) <= width - 2 * EDGE,
    )
    const level = fits < 0 ? 2 : fits
    const wanted = labels.map((label, i) => ({
      x: Math.max(0, Math.min(width, at(label)[0])),
      width: widths[level]![i]!,
    }))
    const lefts = labelRow(wanted, EDGE, width - EDGE, level === 2 ? 2 : GAP)
    return labels.map((label, i) => ({
      key: keyOf(label),
      label,
      left: lefts[i]!,
      width: wanted[i]!.width,
      isShort: level === 2 || (level === 1 && label.kind === 'settled'),
    }))
  }
  const placedOver = row(over)
  const placedUnder = row(under)
  const leader = (placed: Placed, from: number): { key: string; path: string } => {
    const [x, y] = at(placed.label)
    const head = placed.left + 14
    const knee = placedUnder.includes(placed) ? from - 6 : from + 6
    return { key: placed.key, path: `M${head} ${from}V${knee}L${x} ${y}` }
  }
  const open = (list: readonly Placed[]) => list.filter(({ label }) => label.kind === 'joint')
  return {
    over: placedOver,
    under: placedUnder,
    leaders: [
      ...open(placedOver).map((placed) => leader(placed, LABELS_TOP + 22)),
      ...open(placedUnder).map((placed) => leader(placed, foot)),
    ],
  }
}

/** The labels themselves: a joint opens its why sheet, a count the joints it counts. */
export function StripLabels({
  labels,
  lit,
  selected,
  onSelect,
  under,
}: {
  labels: Labels
  lit: string | null
  selected: string | null
  onSelect: (joint: string) => void
  under: number
}) {
  return (
    <>
      {[[labels.over, LABELS_TOP] as const, [labels.under, under] as const].map(([row, y]) =>
        row.map(({ key, label, left, isShort }) =>
          label.kind === 'joint' ? (
            <button
              key={key}
              type="button"
              aria-pressed={selected === label.joint.joint}
              onClick={() => onSelect(label.joint.joint)}
              {...lights(label.joint.joint)}
              className={`absolute flex items-center gap-1.5 whitespace-nowrap rounded px-1 py-0.5 aria-pressed:bg-chosen ${lit === label.joint.joint ? 'bg-bench' : ''}`}
              style={{ left: left - 3, top: y }}
            >
              <JointShape
                code={label.joint.code}
                closed={label.joint.closed}
                evidence={label.joint.evidence}
              />
              <span className={isShort ? 'sr-only' : 'narrow font-semibold leading-tight'}>
                {label.joint.short}
              </span>
            </button>
          ) : (
            <Settled
              key={key}
              label={label}
              lit={lit}
              isShort={isShort}
              onSelect={onSelect}
              style={{ left: left - 3, top: y }}
            />
          ),
        ),
      )}
    </>
  )
}

function Settled({
  label,
  lit,
  isShort,
  onSelect,
  style,
}: {
  label: Extract<StripLabel, { kind: 'settled' }>
  lit: string | null
  isShort: boolean
  onSelect: (joint: string) => void
  style: React.CSSProperties
}) {
  const isLit = label.joints.some(({ joint }) => joint === lit)
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        className={`absolute flex items-center gap-1.5 whitespace-nowrap rounded px-1 py-0.5 text-steel hover:bg-bench ${isLit ? 'bg-bench' : ''}`}
        style={style}
        aria-label={`${label.joints.length} mate ${label.area.words}`}
      >
        <JointShape code="fits" />
        <span className="narrow leading-tight">
          <span className="figure">{label.joints.length}</span>
          {isShort ? '' : ` ${label.area.words}`}
        </span>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={2}
          collisionPadding={8}
          className="z-40 max-h-[var(--radix-dropdown-menu-content-available-height)] min-w-40 overflow-y-auto rounded border border-rule bg-ground p-1"
        >
          {label.joints.map(({ joint, short, code, closed, evidence }) => (
            <DropdownMenu.Item
              key={joint}
              onSelect={() => onSelect(joint)}
              {...lights(joint)}
              className="flex cursor-pointer items-center gap-2 rounded px-2 py-1 data-[highlighted]:bg-bench"
            >
              <JointShape code={code} closed={closed} evidence={evidence} />
              {short}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
