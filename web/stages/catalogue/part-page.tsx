import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { FieldView, PartDetail } from '../../../contract/answers/catalogue.ts'
import { TARGETS } from '../../../core/identity/claims.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { removeWithUndo, usePart } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { ClaimForm } from '../../components/measuring/claim-form.tsx'
import { Photos } from '../../components/photos/photos.tsx'
import { Button, ButtonLink, Loaded, PageHead } from '../../components/ui.tsx'
import { FieldClaims } from './field-claims.tsx'
import { KnownFaults } from './known-faults.tsx'
import { ListedFor } from './listed-for.tsx'
import { Identity } from './part-identity.tsx'
import { Numbers } from './part-numbers.tsx'
import { Offers } from './part-offers.tsx'
import { PartPort } from './part-port.tsx'
import { Reports } from './reports.tsx'
import { SameInside } from './same-inside.tsx'
import { UsedIn } from './used-in.tsx'

/** Kinds that are in a build by choice: their faults come along. */
const FAULTY: ReadonlySet<string> = new Set(['engine', 'transmission', 'transfer-case', 'vehicle'])

/** Kinds that numbers are listed for. */
const LISTED: ReadonlySet<string> = new Set(TARGETS)

/** A part whole: its measurements with all claims, numbers and what is said of them, offers, where it is used. */
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
            <PartPort
              key={port.id}
              port={port}
              onMeasure={(at, field) => setMeasuring({ port: at, field })}
            />
          ))}
          {LISTED.has(part.kind) && <ListedFor part={part.id} />}
        </div>
        <div className="flex flex-col gap-6">
          <Photos of={{ partId: part.id }} what={part.name} />
          <Identity part={part} />
          <UsedIn part={part} />
          <Numbers part={part} />
          <Offers part={part} />
          <Reports of={{ part: part.id }} what={part.name} />
          {part.kind === 'transmission' && <SameInside part={part.id} />}
          {FAULTY.has(part.kind) && <KnownFaults part={part} />}
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
          <FieldClaims
            field={
              part.ports
                .find(({ id }) => id === measuring.port)
                ?.fields.find(({ name }) => name === measuring.field.name) ?? measuring.field
            }
          />
        </Dialog>
      )}
    </>
  )
}
