import { useState } from 'react'
import { useLocation } from 'react-router'
import { Dialog } from '../components/dialog.tsx'
import { Button } from '../components/ui.tsx'
import { QrCode } from './qr-code.tsx'

const LOOPBACK: readonly string[] = ['127.0.0.1', '[::1]', 'localhost']

/** The page one looks at, as a code for a phone's camera; on this machine alone, how a phone could reach it. */
export function PhoneCode() {
  const [isOpen, setOpen] = useState(false)
  // Drawn anew when one goes on: the code is of the page that is open.
  useLocation()
  const isReached = !LOOPBACK.includes(window.location.hostname)
  return (
    <>
      <Button tone="quiet" onClick={() => setOpen(true)}>
        Open on a phone
      </Button>
      <Dialog open={isOpen} onOpenChange={setOpen} title="Open on a phone">
        {isReached ? (
          <>
            <QrCode text={window.location.href} />
            <p className="figure mt-2 break-all">{window.location.href}</p>
            <p className="text-steel">
              The phone must be in the same network, and asks for the shop's passcode once.
            </p>
          </>
        ) : (
          <p>
            A phone cannot reach <span className="figure">{window.location.host}</span>: this Junket
            answers on this machine only. Set a passcode under Settings, start it with{' '}
            <span className="figure">JUNKET_HOST=0.0.0.0</span>, open it here by this machine's name
            or address, and a code for the camera stands here.
          </p>
        )}
      </Dialog>
    </>
  )
}
