import { useEffect } from 'react'
import { useParams } from 'react-router'
import { useBuild } from '../api/hooks.ts'

/** The title of the window and of what is printed: the page, and the build it is of. */
export function useTitle(page: string): void {
  const { build } = useParams()
  const name = useBuild(build).data?.build?.name
  const words = [page, build && name, 'Junket'].filter(Boolean).join(' · ')
  useEffect(() => {
    document.title = words
    // A page that says nothing of itself does not go by the name of the one before.
    return () => {
      document.title = 'Junket'
    }
  }, [words])
}
