import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { FieldView, PartDetail } from '../../../contract/answers/catalogue.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { printQuantity, type StoredUnit } from '../../../core/quantity/units.ts'
import { removeWithUndo, usePart, useSettings } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { Button, ButtonLink, GradeWord, Loaded, PageHead } from '../../components/ui.tsx'
import { ClaimForm } from '../pairing/claim-form.tsx'
import { Identity } from './part-identity.tsx'
import { Numbers } from './part-numbers.tsx'
import { Offers } from './part-offers.tsx'
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
