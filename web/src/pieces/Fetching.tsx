import { Page } from "./Page"

/** The page of something that is being fetched: `what` is what it is called, without an article. */
export function Fetching({ what }: { what: string }) {
  return (
    <Page title={what} units="in" onUnits={() => {}}>
      <main className="p-6" aria-busy="true">
        <h1 className="text-quiet">Fetching the {what.toLowerCase()}…</h1>
      </main>
    </Page>
  )
}
