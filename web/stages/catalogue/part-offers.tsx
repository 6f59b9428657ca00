import { useState } from 'react'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo, useToday } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Form } from '../../components/form.tsx'
import { Row, Rows } from '../../components/rows.tsx'
import { Age, STANDING_OPTIONS, STANDING_WORDS } from '../../components/standing.tsx'
import { Button, Folded, Money } from '../../components/ui.tsx'
import { OfferPrices } from './offer-prices.tsx'

type OfPart = Pick<PartDetail, 'id' | 'name'>

/** Who sells the part, for how much, and an offer by hand. */
export function Offers({ part }: { part: OfPart }) {
  const offers = useAnswer('GET /offers', { query: { part: part.id } })
  const suppliers = useAnswer('GET /suppliers').data?.items ?? []
  const nameOf = (id: string): string => suppliers.find((one) => one.id === id)?.name ?? ''
  const supplierOf = ({ supplierId }: { supplierId: string }) =>
    suppliers.find(({ id }) => id === supplierId)
  const today = useToday()
  const [openId, setOpenId] = useState<string | null>(null)
  const open = offers.data?.items.find(({ id }) => id === openId)
  return (
    <section>
      <h2 className="mb-1 font-bold">Offers</h2>
      <Rows label="Offers">
        {offers.data?.items.map((offer) => (
          <Row
            key={offer.id}
            end={
              <>
                <Money minor={offer.priceMinor} currency={offer.currency} />{' '}
                <Button
                  tone="quiet"
                  aria-label={`Change the offer of ${nameOf(offer.supplierId)}`}
                  onClick={() => setOpenId(offer.id)}
                >
                  Change
                </Button>{' '}
                <Button
                  tone="quiet"
                  aria-label={`Remove the offer of ${nameOf(offer.supplierId)}`}
                  onClick={() =>
                    void removeWithUndo(
                      'DELETE /offers/{id}',
                      { params: { id: offer.id } },
                      'The offer is in the trash.',
                    )
                  }
                >
                  Remove
                </Button>
              </>
            }
          >
            {nameOf(offer.supplierId)}
            <span className="text-steel">
              {offer.condition}
              {offer.pack > 1 ? `, pack of ${offer.pack}` : ''}
              {offer.standing && offer.standing !== 'shipping'
                ? `, ${STANDING_WORDS[offer.standing]}`
                : ''}
            </span>
            <Age seenOn={offer.seenOn} feedReadOn={supplierOf(offer)?.feedReadOn} today={today} />
          </Row>
        ))}
      </Rows>
      {open && (
        <Dialog
          open
          onOpenChange={() => setOpenId(null)}
          title={`${part.name}, ${nameOf(open.supplierId)}`}
        >
          <Form
            id={`change-offer-${open.id}`}
            fields={[
              {
                name: 'priceMinor',
                label: `Price a pack, ${open.currency}`,
                type: 'money',
                required: true,
                currency: () => open.currency,
              },
              { name: 'stock', label: 'Stock, packs', type: 'number', whole: true },
              { name: 'leadDays', label: 'Days to come', type: 'number', whole: true },
              { name: 'standing', label: 'Standing', type: 'select', options: STANDING_OPTIONS },
            ]}
            initial={open}
            action="Save"
            submit={async (values) => {
              const isDone = await act(
                () =>
                  call('PATCH /offers/{id}', {
                    params: { id: open.id },
                    body: { version: open.version, ...values },
                  }),
                'The offer is saved: heard of today.',
              )
              if (isDone) setOpenId(null)
            }}
          />
          <h2 className="mb-1 mt-4 font-bold">What was asked</h2>
          <OfferPrices offer={open.id} currency={open.currency} />
        </Dialog>
      )}
      <Folded words="We want it">
        <Form
          id={`want-${part.id}`}
          columns={1}
          fields={[
            { name: 'currency', label: 'Currency', type: 'text', required: true, upper: true },
            {
              name: 'mostMinor',
              label: 'At most',
              type: 'money',
              hint: 'Left blank, whatever it costs',
              currency: (values) => String(values.currency ?? 'EUR').toUpperCase(),
            },
            { name: 'note', label: 'What for', type: 'text' },
          ]}
          initial={{ currency: suppliers[0]?.currency ?? 'EUR' }}
          action="Look out for it"
          submit={async ({ currency, mostMinor, note }) => {
            await act(
              () => call('POST /watches', { body: { partId: part.id, currency, mostMinor, note } }),
              'It is wanted: Suppliers, Wanted parts tells when it is to be had.',
            )
          }}
        />
      </Folded>
      <Folded words="We own it">
        <Form
          id={`owned-${part.id}`}
          columns={1}
          fields={[
            { name: 'pieces', label: 'How many', type: 'number', whole: true, required: true },
            { name: 'currency', label: 'Currency', type: 'text', required: true, upper: true },
            {
              name: 'worthMinor',
              label: 'What one would fetch',
              type: 'money',
              hint: 'Left blank, it costs the build nothing',
              currency: (values) => String(values.currency ?? 'EUR').toUpperCase(),
            },
          ]}
          initial={{ pieces: 1, currency: suppliers[0]?.currency ?? 'EUR' }}
          action="Put it on our shelf"
          submit={async ({ pieces, worthMinor, currency }) => {
            await act(
              () =>
                call('POST /parts/{id}/owned', {
                  params: { id: part.id },
                  body: { pieces: pieces ?? 1, worthMinor: worthMinor ?? 0, currency },
                }),
              'It is on our shelf, and plans can take it.',
            )
          }}
        />
      </Folded>
      <Folded words="Add an offer">
        <Form
          id={`offer-${part.id}`}
          columns={1}
          fields={[
            {
              name: 'supplierId',
              label: 'Supplier',
              type: 'select',
              required: true,
              options: suppliers.map((one) => ({
                value: one.id,
                words: `${one.name}, ${one.currency}`,
              })),
            },
            { name: 'currency', label: 'Currency', type: 'text', required: true, upper: true },
            {
              name: 'priceMinor',
              label: 'Price a pack',
              type: 'money',
              required: true,
              currency: (values) => String(values.currency ?? 'EUR').toUpperCase(),
            },
            { name: 'taxIncluded', label: 'Price includes tax', type: 'check' },
            { name: 'pack', label: 'Pack', type: 'number', whole: true },
            { name: 'stock', label: 'Stock, packs', type: 'number', whole: true },
            { name: 'leadDays', label: 'Days to come', type: 'number', whole: true },
            { name: 'condition', label: 'Condition', type: 'text' },
          ]}
          initial={{
            supplierId: suppliers[0]?.id,
            currency: suppliers[0]?.currency ?? 'EUR',
            taxIncluded: true,
            pack: 1,
            condition: 'new',
          }}
          action="Add offer"
          submit={async ({ pack, condition, ...values }) => {
            await act(
              () =>
                call('POST /offers', {
                  body: {
                    ...values,
                    partId: part.id,
                    pack: pack ?? 1,
                    condition: condition ?? 'new',
                  },
                }),
              'Offer added.',
            )
          }}
        />
      </Folded>
    </section>
  )
}
