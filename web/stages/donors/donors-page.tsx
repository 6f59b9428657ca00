import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { toast } from 'sonner'
import { refresh, useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { Button, ButtonLink, Empty, Loaded, Money, PageHead } from '../../components/ui.tsx'
import { ListRow } from './donor-pieces.tsx'

/** Donors side by side: net cost with every term, what each yields here, what its sheet puts at risk. */
export function Component() {
  const { build = '' } = useParams()
  const view = useAnswer('GET /builds/{id}/donors', { params: { id: build } })
  const [editingId, setEditingId] = useState<string | null>(null)
  return (
    <Loaded of={view} what="the donors">
      {({ donors, currency, labourRateMinor }) => {
        const ordered = [...donors].sort(
          (p, q) =>
            Number(q.net !== null && q.net.uses.length > 0) -
              Number(p.net !== null && p.net.uses.length > 0) ||
            (p.net?.netMinor ?? 0) - (q.net?.netMinor ?? 0),
        )
        const editing = donors.find((donor) => donor.id === editingId)
        return (
          <>
            <PageHead
              title="Donors"
              detail="Before money is spent: the sheet beside the vehicle, and what each really costs"
            >
              <HistoryButton entity="donor" title="donors" />
              <ButtonLink to="/catalogue/new/donor" tone="main">
                Add a donor
              </ButtonLink>
            </PageHead>
            {donors.length === 0 ? (
              <Empty action={<ButtonLink to="/catalogue/new/donor">Add a donor</ButtonLink>}>
                A donor is a vehicle, or a pulled engine, bought for its parts. Its price is the
                least of it: fetching, stripping, what is missing and what the rest sells for
                decide.
              </Empty>
            ) : (
              <>
                <p className="px-4 pb-2 text-steel">
                  Labour at <Money minor={labourRateMinor} currency={currency} /> an hour, from the
                  brief. What the build needs is used; the rest is sold where a sale brings more
                  than its hours cost.
                </p>
                <div className="relative overflow-x-auto px-4 pb-12">
                  <table>
                    <thead>
                      <tr className="border-b border-ink align-bottom">
                        <th className="sticky left-0 min-w-32 bg-paper py-1 pr-4">Term</th>
                        {ordered.map((donor) => (
                          <th
                            key={donor.id}
                            scope="col"
                            className="w-56 min-w-48 py-1 pl-4 text-[13px] text-ink [font-stretch:100%]"
                          >
                            <b>{donor.name}</b>
                            <span className="block font-normal text-steel">{donor.place}</span>
                          </th>
                        ))}
                      </tr>
                    </thead>
                    <tbody>
                      {(ordered.find((donor) => donor.net)?.net?.terms ?? []).map((term, index) => (
                        <tr key={term.id} className="border-b border-line align-top">
                          <th
                            scope="row"
                            className="sticky left-0 bg-paper py-1 pr-4 text-[13px] font-normal text-ink [font-stretch:100%]"
                          >
                            {term.words}
                          </th>
                          {ordered.map((donor) => {
                            const own = donor.net?.terms[index]
                            return (
                              <td key={donor.id} className="py-1 pl-4 text-right">
                                <Money minor={own?.minor || null} currency={currency} />
                                {own &&
                                  own.minor !== 0 &&
                                  (term.id === 'strip' ||
                                    term.id === 'selling' ||
                                    term.id === 'sale') && (
                                    <div className="text-[12px] text-steel">{own.how}</div>
                                  )}
                              </td>
                            )
                          })}
                        </tr>
                      ))}
                      <tr className="border-b border-ink align-top font-bold">
                        <th
                          scope="row"
                          className="sticky left-0 bg-paper py-1.5 pr-4 text-[13px] text-ink [font-stretch:100%]"
                        >
                          Net cost
                        </th>
                        {ordered.map((donor) => (
                          <td key={donor.id} className="py-1.5 pl-4 text-right text-[15px]">
                            {donor.net ? (
                              <Money minor={donor.net.netMinor} currency={currency} />
                            ) : (
                              <span className="font-normal">
                                no exchange rate from {donor.currency}: add one in Settings
                              </span>
                            )}
                          </td>
                        ))}
                      </tr>
                      <ListRow
                        words="Used here"
                        lists={ordered.map((donor) => donor.net?.uses ?? [])}
                        none="nothing this build needs"
                      />
                      <ListRow
                        words="Sold on"
                        lists={ordered.map((donor) => donor.net?.sells ?? [])}
                        none="–"
                      />
                      <ListRow
                        words="To scrap"
                        lists={ordered.map((donor) => donor.net?.scraps ?? [])}
                        none="–"
                      />
                      <ListRow
                        words="Put at risk"
                        lists={ordered.map((donor) =>
                          donor.risks.map((one) => `${one.words}: ${one.risk}`),
                        )}
                        none="nothing found, or not looked at"
                        bad
                      />
                      <ListRow
                        words="Not on it"
                        lists={ordered.map((donor) => donor.absent)}
                        none="–"
                        bad
                      />
                      <tr className="align-top">
                        <th
                          scope="row"
                          className="sticky left-0 bg-paper py-2 pr-4 text-[13px] font-normal text-ink [font-stretch:100%]"
                        >
                          Sheet
                        </th>
                        {ordered.map((donor) => (
                          <td key={donor.id} className="py-2 pl-4">
                            <Link
                              to={`/builds/${build}/donors/${donor.id}/sheet`}
                              className="text-accent underline underline-offset-2"
                            >
                              {donor.answered > 0 ? `${donor.answered} answered` : 'Fill the sheet'}
                              <span className="sr-only"> of {donor.name}</span>
                            </Link>
                            <br />
                            <Button
                              tone="quiet"
                              className="-ml-1"
                              aria-label={`Change amounts of ${donor.name}`}
                              onClick={() => setEditingId(donor.id)}
                            >
                              Change amounts
                            </Button>
                          </td>
                        ))}
                      </tr>
                    </tbody>
                  </table>
                </div>
              </>
            )}
            {editing && (
              <Dialog open onOpenChange={() => setEditingId(null)} title={editing.name} wide>
                <Form
                  id={`donor-${editing.id}`}
                  fields={[
                    { name: 'name', label: 'Name', type: 'text', required: true },
                    { name: 'place', label: 'Where it stands', type: 'text' },
                    ...(
                      [
                        ['priceMinor', 'Price'],
                        ['fetchMinor', 'Fetching it'],
                        ['repairMinor', 'Repair of what is used'],
                        ['missingMinor', 'What is missing, bought singly'],
                        ['disposalMinor', 'Disposal of the hulk'],
                        ['storageMinor', 'Storage and keeper fees'],
                        ['scrapMinor', 'Scrap brings'],
                      ] as const
                    ).map(([name, label]) => ({
                      name,
                      label,
                      type: 'money' as const,
                      currency: editing.currency,
                    })),
                    {
                      name: 'saleFee',
                      label: 'Fee on each sale, %',
                      type: 'percent',
                      required: true,
                    },
                    { name: 'note', label: 'Note', type: 'text', wide: true },
                  ]}
                  initial={editing}
                  action="Save"
                  submit={async (values) => {
                    const amounts = Object.fromEntries(
                      Object.entries(values).map(([key, value]) => [
                        key,
                        key.endsWith('Minor') ? (value ?? 0) : value,
                      ]),
                    )
                    await call('PATCH /donors/{id}', {
                      params: { id: editing.id },
                      body: {
                        version: editing.version,
                        ...amounts,
                      },
                    })
                    await refresh()
                    toast(`${editing.name} is saved.`)
                    setEditingId(null)
                  }}
                />
              </Dialog>
            )}
          </>
        )
      }}
    </Loaded>
  )
}
