import { call } from '../api/client.ts'
import { write } from '../api/hooks.ts'
import { Form } from '../components/form.tsx'

/** Asked of whoever opens Junket from another machine. */
export default function SignIn() {
  return (
    <main className="mx-auto mt-[18vh] max-w-sm px-4">
      <h1 className="mb-1 text-[19px] font-extrabold tracking-wide">Junket</h1>
      <p className="mb-4 text-steel">Give the passcode of this shop.</p>
      <Form
        id="sign-in"
        keepsDraft={false}
        columns={1}
        fields={[{ name: 'passcode', label: 'Passcode', type: 'secret', required: true }]}
        initial={{}}
        action="Sign in"
        submit={(values) => write(() => call('POST /session', { body: values }))}
      />
    </main>
  )
}
