import { useNavigate, useRouteError } from 'react-router'
import { Button, Failed } from '../components/ui.tsx'

/** A page that broke, with a way back. */
export function RouteError() {
  const error = useRouteError()
  const navigate = useNavigate()
  return (
    <div>
      <Failed error={error} retry={() => window.location.reload()} />
      <div className="mx-4">
        <Button onClick={() => navigate('/')}>Back to builds</Button>
      </div>
    </div>
  )
}
