import { ButtonLink, Empty } from '../components/ui.tsx'

export function Component() {
  return (
    <Empty action={<ButtonLink to="/">Back to builds</ButtonLink>}>
      There is no page here. The address may be of a build that was moved to the trash.
    </Empty>
  )
}
