import { Folded } from '../../components/ui.tsx'

/** So many reasons stand open. */
const OPEN = 6

/** What could not be planned, each with its reason: the first at once, the rest unfolded. */
export function LeftOut({ reasons }: { reasons: readonly string[] }) {
  const all = [...new Set(reasons)]
  const told = (some: readonly string[]) =>
    some.map((why) => (
      <p key={why} className="my-2 border-l-[3px] border-unmeasured pl-2.5">
        {why}
      </p>
    ))
  if (all.length === 0) return null
  return (
    <section aria-label="Left out" className="px-4 py-2">
      <h2 className="font-bold">Left out</h2>
      {told(all.slice(0, OPEN))}
      {all.length > OPEN && (
        <Folded words={`${all.length - OPEN} more, each with its reason`}>
          {told(all.slice(OPEN))}
        </Folded>
      )}
    </section>
  )
}
