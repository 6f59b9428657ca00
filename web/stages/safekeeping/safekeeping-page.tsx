import { HistoryButton } from '../../components/history.tsx'
import { ButtonLink, PageHead } from '../../components/ui.tsx'
import { Backups } from './backups.tsx'
import { Passcode } from './passcode.tsx'
import { People } from './people.tsx'
import { SetAside } from './set-aside.tsx'
import { Trash } from './trash.tsx'

/** People, backups, the trash, the passcode: what keeps the work of several people safe. */
export function Component() {
  return (
    <>
      <PageHead
        title="People and safekeeping"
        detail="Who works here, backups, the trash and the passcode"
      >
        <HistoryButton title="everything" />
        <ButtonLink to="/settings">Settings</ButtonLink>
      </PageHead>
      <div className="grid grid-cols-2 gap-10 px-4 pb-12 max-[1000px]:grid-cols-1">
        <div className="flex flex-col gap-8">
          <People />
          <Passcode />
        </div>
        <div className="flex flex-col gap-8">
          <SetAside />
          <Backups />
          <Trash />
        </div>
      </div>
    </>
  )
}
