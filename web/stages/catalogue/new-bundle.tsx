import { useNavigate } from 'react-router'
import { Caution, PageHead } from '../../components/ui.tsx'
import { DonorForm, KitForm } from './bundle-form.tsx'

/** Papers and people before money. */
export const DonorCaution = () => (
  <Caution>
    Papers before money: ownership, engine number, lien. Work near airbags, fuel and refrigerant is
    for trained or licensed people.
  </Caution>
)

/** Typing a kit with its contents, or a donor with what it yields. Blank amounts and hours are 0. */
export function NewBundle({ kind }: { kind: 'kit' | 'donor' }) {
  const navigate = useNavigate()
  const list = (): void => void navigate(`/catalogue?tab=${kind}s`)
  return (
    <>
      <PageHead
        title={`Add a ${kind}`}
        detail={
          kind === 'kit'
            ? 'Searched as its parts, bought as one'
            : 'Each item is used, sold or scrapped'
        }
      />
      <div className="px-4 pb-12">
        {kind === 'kit' ? (
          <KitForm kit={null} onSaved={list} />
        ) : (
          <>
            <DonorCaution />
            <DonorForm donor={null} onSaved={list} />
          </>
        )}
      </div>
    </>
  )
}
