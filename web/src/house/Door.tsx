import { lazy, useEffect, type ReactNode } from "react"
import { useLocation } from "react-router"
import type { Account } from "../keep/client"
import { useAccount } from "../keep/queries"
import { FIRST, goneTo, workshopHere } from "../keep/workshop"
import { Loaded } from "../pieces/Loaded"
import { arrive } from "./arrive"
import { Moved } from "./Moved"

// Nobody who is in needs it.
const Outside = lazy(async () => ({ default: (await import("./Outside")).Outside }))

/** Where the application is open to the house, nobody gets past it who has not signed in. */
export function Door({ children }: { children: ReactNode }) {
  const account = useAccount().data
  const { pathname } = useLocation()
  const link = /^\/(?<what>pair|join)\/(?<token>[\w-]+)$/.exec(pathname)?.groups
  useWorkshopOf(account)
  if (!account?.house) return children
  if (link || account.login === undefined || !account.workshop) {
    return (
      <Loaded fallback={<Opening />}>
        <Outside account={account} link={link} pathname={pathname} />
      </Loaded>
    )
  }
  return (
    <>
      <Moved />
      {children}
    </>
  )
}

function Opening() {
  return (
    <main className="p-6" aria-busy="true">
      <h1 className="text-quiet">Fetching the way in…</h1>
    </main>
  )
}

/** What this device keeps is of the workshop that it is in; of another, or of somebody else's, nothing is shown. */
function useWorkshopOf(account: Account | undefined) {
  // Where nobody signs in there is the first alone.
  const workshop = account?.house === false ? FIRST : account?.workshop?.id
  useEffect(() => {
    if (workshop === undefined) return
    const elsewhere = workshop !== workshopHere()
    if (elsewhere || account?.house) goneTo(workshop)
    if (elsewhere) void arrive()
  }, [workshop, account?.house])
}
