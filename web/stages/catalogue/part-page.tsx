import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { FieldView, PartDetail } from '../../../contract/answers/catalogue.ts'
import { kindWords, PART_KINDS } from '../../../core/ports/part-kinds.ts'
import { printQuantity, type StoredUnit } from '../../../core/quantity/units.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo, usePart, useSettings, write } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import {
  Button,
  ButtonLink,
  Folded,
  GradeWord,
  Loaded,
  Money,
  PageHead,
} from '../../components/ui.tsx'
import { ClaimForm } from '../pairing/measure-dialog.tsx'
import { SameInside } from './same-inside.tsx'

/** A part whole: its measurements with all claims, numbers, supersessions, offers. */
export function Component() {
  const { part: id = '' } = useParams()
  const part = usePart(id)
  return (
    <Loaded of={part} what="the part">
      {(detail) => <Detail key={detail.id} part={detail} />}
    </Loaded>
  )
}

function Detail({ part }: { part: PartDetail }) {
  const navigate = useNavigate()
  const owner = usePart(part.ownerId)
  const [measuring, setMeasuring] = useState<{ port: string; field: FieldView } | null>(null)
  return (
    <>
      <PageHead
        title={part.name}
        detail={
          <>
            {kindWords(part.kind)}
            {owner.data && part.ownerId ? (
              <>
                {' '}
                · came with{' '}
                <Link className="text-accent underline" to={`/catalogue/parts/${part.ownerId}`}>
                  {owner.data.name}
                </Link>
              </>
            ) : null}
          </>
        }
      >
        {part.ports.some((port) => port.kind === 'face') && (
          <ButtonLink to={`/catalogue/parts/${encodeURIComponent(part.id)}/pattern`}>
            Pattern
          </ButtonLink>
        )}
        <HistoryButton entity="part" id={part.id} title={part.name} />
        <ButtonLink to="/catalogue">Catalogue</ButtonLink>
        <Button
          onClick={() =>
            void removeWithUndo(
              'DELETE /parts/{id}',
              { params: { id: part.id } },
              `${part.name} is in the trash.`,
            ).then((done) => done && navigate('/catalogue'))
          }
        >
          Remove
        </Button>
      </PageHead>
      <div className="grid grid-cols-[minmax(0,1fr)_340px] gap-8 px-4 pb-12 max-[1000px]:grid-cols-1">
        <div>
          {part.ports.length === 0 && (
            <p className="text-steel">This kind of part is not measured at any joint yet.</p>
          )}
          {part.ports.map((port) => (
            <section key={port.id} className="mb-5">
              <h2 className="border-b border-ink pb-1 font-bold">
                {port.title}
                <span className="font-normal text-steel">
                  {port.slot === 'main' ? '' : ` · ${port.slot}`}
                  {port.looks ? ` · looks ${port.looks}` : ''}
                </span>
              </h2>
              <table className="w-full table-fixed">
                <tbody>
                  {port.fields.map((field) => (
                    <FieldRow
                      key={field.name}
                      field={field}
                      onMeasure={() => setMeasuring({ port: port.id, field })}
                    />
                  ))}
                </tbody>
              </table>
            </section>
          ))}
        </div>
        <div className="flex flex-col gap-6">
          <Identity part={part} />
          <Numbers part={part} />
          <Offers part={part} />
          {part.kind === 'transmission' && <SameInside part={part.id} />}
        </div>
      </div>
      {measuring && (
        <Dialog open onOpenChange={() => setMeasuring(null)} title="Record a measurement">
          <ClaimForm
            build={null}
            field={{
              part: part.id,
              partName: part.name,
              port: measuring.port,
              field: measuring.field.name,
              label: measuring.field.label,
              methods: [],
              minutes: 0,
            }}
            onDone={() => setMeasuring(null)}
          />
        </Dialog>
      )}
    </>
  )
}

function FieldRow({ field, onMeasure }: { field: FieldView; onMeasure: () => void }) {
  const units = useSettings().data?.units
  const shown = field.claims.find((claim) => claim.used)?.shown
  return (
    <tr className="border-b border-line align-top">
      <td className="w-[38%] py-1">{field.label}</td>
      <td className="figure whitespace-pre-wrap py-1">
        {field.value === null ? (
          <span className="text-steel">not known</span>
        ) : typeof field.value === 'number' ? (
          printQuantity(field.value, field.unit as StoredUnit, units)
        ) : (
          shown
        )}
        {field.plusMinus !== null && field.plusMinus > 0 && (
          <span className="text-steel"> ±{Number(field.plusMinus.toFixed(3))}</span>
        )}
        {field.conflict && (
          <div className="border-l-[3px] border-rule pl-2 font-sans">
            Claims disagree beyond their ±: look before you spend.
          </div>
        )}
        {field.claims.length > 1 && (
          <ul className="font-sans text-steel">
            {field.claims
              .filter((claim) => !claim.used)
              .map((claim) => (
                <li key={claim.id}>
                  also {claim.shown}, {claim.grade}
                  {claim.saidBy ? `, ${claim.saidBy}` : ''}
                  {claim.source ? `, ${claim.source}` : ''}
                </li>
              ))}
          </ul>
        )}
      </td>
      <td className="w-24 py-1">
        <GradeWord grade={field.grade} />
      </td>
      <td className="w-20 py-1 text-right">
        <Button tone="quiet" aria-label={`Measure ${field.label}`} onClick={onMeasure}>
          Measure
        </Button>
      </td>
    </tr>
  )
}

function Identity({ part }: { part: PartDetail }) {
  return (
    <section>
      <h2 className="mb-2 font-bold">What it is</h2>
      <Form
        id={`part-${part.id}`}
        columns={1}
        fields={[
          { name: 'name', label: 'Name', type: 'text', required: true },
          {
            name: 'kind',
            label: 'Kind',
            type: 'select',
            required: true,
            options: Object.entries(PART_KINDS).map(([value, { words }]) => ({ value, words })),
            hint:
              part.kind === 'unsorted'
                ? 'An unsorted part is no candidate until its kind is set'
                : '',
          },
        ]}
        initial={{ name: part.name, kind: part.kind }}
        action="Save"
        submit={async (values) => {
          await call('PATCH /parts/{id}', {
            params: { id: part.id },
            body: {
              version: part.version,
              ...values,
            },
          })
          await refresh()
        }}
      />
    </section>
  )
}

function Numbers({ part }: { part: PartDetail }) {
  return (
    <section>
      <h2 className="mb-1 font-bold">Part numbers</h2>
      {part.numbers.map((one) => (
        <p key={one.id} className="figure border-b border-line py-0.5">
          {one.issuer} {one.number}
        </p>
      ))}
      {part.supersessions.map((one) => (
        <p key={one.id} className="border-b border-line py-0.5">
          <span className="figure">
            {one.issuer} {one.oldNumber}
          </span>{' '}
          replaced by <span className="figure">{one.newNumber}</span>
          {one.oneWay ? '; the old no longer serves for the new' : ''}
        </p>
      ))}
      <Folded words="Add a number">
        <Form
          id={`number-${part.id}`}
          columns={1}
          fields={[
            { name: 'issuer', label: 'Issuer', type: 'text', required: true },
            { name: 'number', label: 'Number', type: 'text', required: true },
          ]}
          initial={{}}
          action="Add number"
          submit={(values) =>
            write(() => call('POST /parts/{id}/numbers', { params: { id: part.id }, body: values }))
          }
        />
      </Folded>
      <Folded words="Add a supersession">
        <Form
          id={`supersession-${part.id}`}
          columns={1}
          fields={[
            { name: 'issuer', label: 'Issuer', type: 'text', required: true },
            { name: 'old', label: 'Old number', type: 'text', required: true },
            { name: 'new', label: 'New number', type: 'text', required: true },
            { name: 'oneWay', label: 'One way: the old no longer serves', type: 'check' },
          ]}
          initial={{}}
          action="Add supersession"
          submit={(values) =>
            write(() =>
              call('POST /parts/{id}/supersessions', { params: { id: part.id }, body: values }),
            )
          }
        />
      </Folded>
    </section>
  )
}

function Offers({ part }: { part: PartDetail }) {
  const offers = useAnswer('GET /offers', { query: { part: part.id } })
  const suppliers = useAnswer('GET /suppliers').data?.items ?? []
  const nameOf = (id: string): string => suppliers.find((one) => one.id === id)?.name ?? ''
  return (
    <section>
      <h2 className="mb-1 font-bold">Offers</h2>
      {offers.data?.items.map((offer) => (
        <p key={offer.id} className="flex gap-2 border-b border-line py-0.5">
          {nameOf(offer.supplierId)}
          <span className="text-steel">
            {offer.condition}
            {offer.pack > 1 ? `, pack of ${offer.pack}` : ''}
          </span>
          <span className="ml-auto">
            <Money minor={offer.priceMinor} currency={offer.currency} />
          </span>
          <Button
            tone="quiet"
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
        </p>
      ))}
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
