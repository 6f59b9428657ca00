import { useNavigate } from 'react-router'
import type { PairingDetail } from '../../contract/answers/pairings.ts'
import { JOINTS } from '../../core/joints/index.ts'
import { useBuild, usePairing } from '../api/hooks.ts'
import { Strip } from '../drawing/strip.tsx'

/** The strip of one pairing. */
export function PairingStrip({
  pairing,
  selected,
  onSelect,
}: {
  pairing: PairingDetail
  selected: string | null
  onSelect: (joint: string) => void
}) {
  const joints = pairing.joints.map(({ joint, bare, closed }) => ({
    joint,
    short: JOINTS.find(({ id }) => id === joint)?.short ?? joint,
    code: bare.code,
    closed: closed?.code ?? null,
    evidence: bare.evidence,
  }))
  return <Strip strip={pairing.strip} selected={selected} onSelect={onSelect} joints={joints} />
}

/** The strip of the build's chosen pairing; a joint leads to its why sheet. */
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
  return (
    <PairingStrip
      pairing={pairing}
      selected={selected}
      onSelect={(joint) =>
        navigate(
          `/builds/${build}/pairing?engine=${pairing.engine}&transmission=${pairing.transmission}&joint=${joint}`,
        )
      }
    />
  )
}
