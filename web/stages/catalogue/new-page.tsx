import { useParams } from 'react-router'
import { isCatalogueKind } from '../../../core/needs/catalogue-kinds.ts'
import { Failed } from '../../components/ui.tsx'
import { NewBundle } from './new-bundle.tsx'
import { NewPart } from './new-part.tsx'

/** Add a part of any kind, a kit or a donor. */
export function Component() {
  const { what = 'part' } = useParams()
  if (what === 'kit' || what === 'donor') return <NewBundle key={what} kind={what} />
  if (what === 'part' || isCatalogueKind(what))
    return <NewPart key={what} kind={what === 'part' ? null : what} />
  return <Failed error={new Error(`There is no "${what}" to add.`)} />
}
