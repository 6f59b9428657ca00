import type { Arrivals } from '../../../contract/answers/arrivals.ts'
import { useAnswer } from '../../api/answer.ts'

/** The same on another page of the build. */
export function ToldHere({ build }: { build: string }) {
  const told = useAnswer('GET /builds/{id}/arrivals', { params: { id: build } }).data?.told ?? []
  return told.length > 0 ? (
    <div className="px-4 pt-3">
      <Told told={told} />
    </div>
  ) : null
}

/** What other builds found of parts that this one waits for. */
export const Told = ({ told }: { told: Arrivals['told'] }) =>
  told.map(({ partName, build, batch, label, is, said }) => (
    <p
      key={`${partName}${build}${label}`}
      role="note"
      className="mb-3 border-l-[3px] border-work pl-2.5"
    >
      <b>{partName}</b>: {build} measured {label.toLowerCase()} {is}
      {said ? ` where ${said} was said` : ''}
      {batch ? `, batch ${batch}` : ''}. Measure yours when it comes.
    </p>
  ))
