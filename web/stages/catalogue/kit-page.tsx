import { useNavigate, useParams } from 'react-router'
import { toast } from 'sonner'
import { useAnswer } from '../../api/answer.ts'
import { removeWithUndo } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import { Button, ButtonLink, Loaded, PageHead } from '../../components/ui.tsx'
import { KitForm } from './bundle-form.tsx'
import { Reports } from './reports.tsx'

/** A kit opened: its price, who sells it, what it holds. */
export function Component() {
  const { kit: id = '' } = useParams()
  const kit = useAnswer('GET /kits/{id}', { params: { id } })
  const navigate = useNavigate()
  return (
    <Loaded of={kit} what="the kit">
      {(one) => (
        <>
          <PageHead title={one.name} detail="Searched as its parts, bought as one">
            <HistoryButton entity="kit" id={one.id} title={one.name} />
            <ButtonLink to="/catalogue?tab=kits">Kits</ButtonLink>
            <Button
              onClick={() =>
                void removeWithUndo(
                  'DELETE /kits/{id}',
                  { params: { id: one.id } },
                  `${one.name} is in the trash.`,
                ).then((done) => done && navigate('/catalogue?tab=kits'))
              }
            >
              Remove
            </Button>
          </PageHead>
          <div className="px-4 pb-12">
            <KitForm key={one.id} kit={one} onSaved={() => toast(`${one.name} is saved.`)} />
            <div className="mt-6 max-w-3xl">
              <Reports of={{ kit: one.id }} what={one.name} />
            </div>
          </div>
        </>
      )}
    </Loaded>
  )
}
