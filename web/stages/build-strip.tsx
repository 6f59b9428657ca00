import { type ReactNode, useState } from 'react'
import { useNavigate } from 'react-router'
import type { PairingDetail } from '../../contract/answers/pairings.ts'
import { CODES } from '../../core/joints/code.ts'
import { JOINTS } from '../../core/joints/index.ts'
import { effective } from '../../core/pairing/order.ts'
import { useBuild, usePairing } from '../api/hooks.ts'
import { JointShape } from '../components/joint-shape.tsx'
import { lights } from '../components/lit-joint.ts'
import { Tip } from '../components/tip.tsx'
import { Button } from '../components/ui.tsx'
import { Strip } from '../drawing/train/strip.tsx'

const shortOf = (joint: string): string => JOINTS.find(({ id }) => id === joint)?.short ?? joint

/** The strip of one pairing. */
function PairingStrip({
  pairing,
  selected,
  onSelect,
  children,
}: {
  pairing: PairingDetail
  selected: string | null
  onSelect: (joint: string) => void
  children: ReactNode
}) {
  const joints = pairing.joints.map(({ joint, bare, closed }) => ({
    joint,
    short: shortOf(joint),
    code: bare.code,
    closed: closed?.code ?? null,
    evidence: bare.evidence,
  }))
  return (
    <Strip
      train={pairing.train}
      name={`${pairing.engineName} with ${pairing.transmissionName}`}
      selected={selected}
      onSelect={onSelect}
      joints={joints}
    >
      {children}
    </Strip>
  )
}

/** The strip of a pairing, or one line of what is not settled on it; it opens as it was left. */
export function FoldingStrip({
  pairing,
  selected,
  onSelect,
  place,
  isFolded: first = false,
}: {
  pairing: PairingDetail
  selected: string | null
  onSelect: (joint: string) => void
  /** Where it is kept whether it was folded. */
  place: string
  isFolded?: boolean
}) {
  const [isFolded, setFolded] = useState(
    () => (localStorage.getItem(place) ?? (first ? 'yes' : 'no')) !== 'no',
  )
  const fold = (to: boolean): void => {
    localStorage.setItem(place, to ? 'yes' : 'no')
    setFolded(to)
  }
  const toggle = (
    <Button tone="quiet" aria-expanded={!isFolded} onClick={() => fold(!isFolded)}>
      {isFolded ? 'Show the train' : 'Fold the train'}
    </Button>
  )
  if (!isFolded)
    return (
      <PairingStrip pairing={pairing} selected={selected} onSelect={onSelect}>
        {toggle}
      </PairingStrip>
    )
  return (
    <div className="flex min-h-8 flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-4 py-0.5 print:hidden">
      <Unsettled pairing={pairing} selected={selected} onSelect={onSelect} />
      <span className="ml-auto">{toggle}</span>
    </div>
  )
}

/** The strip of the build's chosen pairing, or one line of what is not settled on it; a joint leads to its why sheet. */
export function BuildStrip({
  build,
  selected = null,
}: {
  build: string
  selected?: string | null
}) {
  const navigate = useNavigate()
  const header = useBuild(build).data
  const pairing = usePairing(build, header?.engineId ?? null, header?.transmissionId ?? null).data
  if (!pairing) return null
  const open = (joint: string): void =>
    void navigate(
      `/builds/${build}/pairing?engine=${pairing.engine}&transmission=${pairing.transmission}&joint=${joint}`,
    )
  return (
    <FoldingStrip
      pairing={pairing}
      selected={selected}
      onSelect={open}
      place="strip:folded"
      isFolded
    />
  )
}

/** More than these are counted by what they read, so that they stay on one line. */
const NAMED = 6

/** Joints that are not settled, by name or counted, and how many are. */
function Unsettled({
  pairing,
  selected,
  onSelect,
}: {
  pairing: PairingDetail
  selected: string | null
  onSelect: (joint: string) => void
}) {
  const read = pairing.joints.map((one) => ({ ...one, code: effective(one).code }))
  const mates = read.filter(({ code }) => code === 'fits')
  const open = read.filter(({ code }) => code !== 'fits')
  return (
    <>
      {mates.length > 0 && (
        <span className="flex items-center gap-1.5 text-steel">
          <JointShape code="fits" /> <span className="figure">{mates.length}</span> mate
        </span>
      )}
      {open.length > NAMED
        ? CODES.flatMap((code) => {
            const of = open.filter((one) => one.code === code)
            const [first] = of
            return first
              ? [
                  <Tip key={code} words={of.map(({ title }) => title).join(', ')}>
                    <button
                      type="button"
                      onClick={() => onSelect(first.joint)}
                      className="inline-flex items-center gap-1.5 hover:bg-bench"
                    >
                      <JointShape code={code} word /> <span className="figure">{of.length}</span>
                    </button>
                  </Tip>,
                ]
              : []
          })
        : open.map(({ joint, title, code, bare }) => (
            <button
              key={joint}
              type="button"
              aria-current={joint === selected || undefined}
              onClick={() => onSelect(joint)}
              {...lights(joint)}
              className="inline-flex items-center gap-1.5 hover:bg-bench aria-[current]:font-semibold"
            >
              <JointShape code={code} evidence={bare.evidence} />{' '}
              <Tip words={title}>
                <span>{shortOf(joint)}</span>
              </Tip>
            </button>
          ))}
    </>
  )
}
