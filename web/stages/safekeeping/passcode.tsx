import { mutate } from 'swr'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, write } from '../../api/hooks.ts'
import { Form } from '../../components/form.tsx'
import { Button } from '../../components/ui.tsx'

/** The passcode of a Junket that other machines can reach. */
export function Passcode() {
  const session = useAnswer('GET /session').data
  if (!session) return null
  return (
    <section>
      <h2 className="font-bold">Passcode</h2>
      <p className="mb-2 text-steel">
        {session.asks
          ? 'Junket is reachable from other machines here: whoever opens it gives this passcode first.'
          : 'Junket answers on this machine only, and asks for nothing. To open it to others, set a passcode, then start it with JUNKET_HOST.'}
      </p>
      <Form
        id="passcode"
        keepsDraft={false}
        columns={1}
        fields={[
          ...(session.asks && session.hasPasscode
            ? [
                {
                  name: 'old',
                  label: 'Passcode until now',
                  type: 'secret' as const,
                  required: true,
                },
              ]
            : []),
          {
            name: 'passcode',
            label: session.hasPasscode ? 'New passcode' : 'Passcode',
            type: 'secret',
            required: true,
            hint: 'At least 8 characters. Everybody else signs in anew',
          },
        ]}
        initial={{}}
        action="Set the passcode"
        submit={(values) => write(() => call('PUT /passcode', { body: values }))}
      />
      {session.asks && (
        <p className="mt-3 text-steel">
          Forgotten? Start Junket at its own machine with JUNKET_PASSCODE set to a new one, or
          without JUNKET_HOST, and set it here. The network sees what is sent as it is, unless a
          proxy before Junket speaks TLS.
        </p>
      )}
      {session.asks && (
        <p className="mt-3">
          <Button
            onClick={() => void act(() => call('DELETE /session')).then(() => mutate('/session'))}
          >
            Sign out
          </Button>
        </p>
      )}
    </section>
  )
}
