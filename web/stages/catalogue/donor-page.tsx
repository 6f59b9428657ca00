import { useNavigate, useParams } from 'react-router'
import { toast } from 'sonner'
import { useAnswer } from '../../api/answer.ts'
import { removeWithUndo } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import { Photos } from '../../components/photos/photos.tsx'
import { Button, ButtonLink, Loaded, PageHead } from '../../components/ui.tsx'
import { DonorForm } from './bundle-form.tsx'
import { DonorCaution } from './new-bundle.tsx'

/** A donor opened: what it costs, and what it yields. */
export function Component() {
  const { donor: id = '' } = useParams()
  const donor = useAnswer('GET /donors/{id}', { params: { id } })
  const navigate = useNavigate()
  return (
    <Loaded of={donor} what="the donor">
      {(one) => (
        <>
          <PageHead title={one.name} detail="Each item is used, sold or scrapped">
            <HistoryButton entity="donor" id={one.id} title={one.name} />
            <ButtonLink to="/catalogue?tab=donors">Donors</ButtonLink>
            <Button
              onClick={() =>
                void removeWithUndo(
                  'DELETE /donors/{id}',
                  { params: { id: one.id } },
                  `${one.name} is in the trash.`,
                ).then((done) => done && navigate('/catalogue?tab=donors'))
              }
            >
              Remove
            </Button>
          </PageHead>
          <div className="px-4 pb-12">
            <DonorCaution />
            <Photos of={{ donorId: one.id }} what={one.name} />
            <DonorForm key={one.id} donor={one} onSaved={() => toast(`${one.name} is saved.`)} />
          </div>
        </>
      )}
    </Loaded>
  )
}
