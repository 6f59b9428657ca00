import { useNavigate } from 'react-router'
import { JOINTS } from '../../core/joints/index.ts'
import { useBuild, usePairing } from '../api/hooks.ts'
import { Strip } from '../drawing/strip.tsx'

/** The strip of the build's chosen pairing; a joint leads to its why sheet. */
export function BuildStrip({ build, selected = null }: { build: string; selected?: string | null }) {
  const navigate = useNavigate()
  const header = useBuild(build).data
  const pairing = usePairing(build, header?.engineId ?? null, header?.transmissionId ?? null).data
  if (!pairing) return null
  return (
    <Strip
      strip={pairing.strip}
      selected={selected}
      onSelect={(joint) => navigate(`/builds/${build}/pairing?engine=${pairing.engine}&transmission=${pairing.transmission}&joint=${joint}`)}
      joints={pairing.joints.map((one) => ({
        joint: one.joint,
        short: JOINTS.find(({ id }) => id === one.joint)?.short ?? one.joint,
        code: one.bare.code,
        closed: one.closed?.code ?? null,
        evidence: one.bare.evidence,
      }))}
    />
  )
}
