import { useState } from 'react'
import { useParams } from 'react-router'
import type { KitsCompared } from '../../../contract/answers/kits.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild } from '../../api/hooks.ts'
import { Check } from '../../components/fields/check.tsx'
import { ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { KitColumns } from './kit-columns.tsx'
import { TakeKit } from './take-kit.tsx'

const MOST = 4
const FIRST = 3

/** Kits for the chosen pairing: which go together with it, two to four of them side by side, and which to take. */
export function Component() {
  const { build = '' } = useParams()
  const header = useBuild(build).data
  const atHand = useAnswer('GET /builds/{id}/kits', { params: { id: build } })
  const [params, change] = useAddress()
  return (
    <>
      <PageHead title="Kits compared" detail={header?.pairing ?? 'No pairing chosen'}>
        <ButtonLink to={`/builds/${build}/pairing`}>Pairing</ButtonLink>
        <ButtonLink to="/catalogue?tab=kits">All kits</ButtonLink>
      </PageHead>
      <Loaded of={atHand} what="the kits">
        {({ items, choice }) => {
          const said = params.get('kits')
          const picked =
            said === null
              ? items.slice(0, FIRST).map(({ id }) => id)
              : said.split(',').filter((id) => items.some((one) => one.id === id))
          const nameOf = (id: string): string => items.find((one) => one.id === id)?.name ?? id
          if (items.length === 0)
            return (
              <Empty action={<ButtonLink to="/catalogue/new/kit">Add a kit</ButtonLink>}>
                No kit in the catalogue holds a piece between engine and gearbox.
              </Empty>
            )
          return (
            <div className="px-4 pb-12">
              {choice && (
                <p className="mb-3 border-l-[3px] border-ink pl-2.5">
                  <b>{nameOf(choice.kitId)}</b> was taken on {choice.day}
                  {choice.saidBy ? ` by ${choice.saidBy}` : ''}
                  {choice.recommendedId && choice.recommendedId !== choice.kitId
                    ? `, where ${nameOf(choice.recommendedId)} was recommended: ${choice.because}`
                    : ''}
                  .
                </p>
              )}
              <fieldset className="mb-3">
                <legend className="font-bold">
                  Two to four at a time, the best joined to this pairing first
                </legend>
                <div className="grid max-h-44 grid-cols-3 gap-x-4 overflow-y-auto max-[800px]:grid-cols-1">
                  {items.map((kit) => (
                    <Check
                      key={kit.id}
                      isChecked={picked.includes(kit.id)}
                      disabled={!picked.includes(kit.id) && picked.length >= MOST}
                      onChange={(isOn) =>
                        change({
                          kits: (isOn
                            ? [...picked, kit.id]
                            : picked.filter((id) => id !== kit.id)
                          ).join(','),
                        })
                      }
                    >
                      <span>
                        {kit.name}{' '}
                        <span className="text-steel">
                          {kit.good} of {kit.joints} joints
                          {kit.beside > 0
                            ? `, ${kit.beside} more ${kit.beside === 1 ? 'piece' : 'pieces'}`
                            : ''}
                        </span>
                      </span>
                    </Check>
                  ))}
                </div>
              </fieldset>
              {picked.length < 2 ? (
                <p className="text-steel">Pick two at least.</p>
              ) : (
                <Compared build={build} ids={picked} />
              )}
            </div>
          )
        }}
      </Loaded>
    </>
  )
}

function Compared({ build, ids }: { build: string; ids: readonly string[] }) {
  const compared = useAnswer('GET /builds/{id}/kits/compared', {
    params: { id: build },
    query: { ids: ids.join(',') },
  })
  const [taking, setTaking] = useState<string | null>(null)
  return (
    <Loaded of={compared} what="the plans with each of them">
      {(found) => (
        <>
          <Recommended found={found} />
          <KitColumns found={found} onTake={setTaking} />
          {taking !== null && (
            <TakeKit
              build={build}
              kit={found.kits.find(({ id }) => id === taking)!}
              found={found}
              onClose={() => setTaking(null)}
            />
          )}
        </>
      )}
    </Loaded>
  )
}

function Recommended({ found }: { found: KitsCompared }) {
  const { kitId, because } = found.recommended
  const kit = found.kits.find(({ id }) => id === kitId)
  return (
    <section
      aria-label="Recommended"
      className="mb-4 rounded border border-ink bg-ground px-3 py-2"
    >
      <h2 className="font-bold">
        {kit ? `By these figures: ${kit.name}` : 'None of these can be recommended'}
      </h2>
      <ul className="list-disc pl-5">
        {because.map((words) => (
          <li key={words}>{words}.</li>
        ))}
      </ul>
      <p className="text-steel">
        First what cannot go together or is known to fail, then what stays open, then what the build
        comes to with its hours. It is a reckoning, not an approval: take another where you know
        better, and say why.
      </p>
    </section>
  )
}
