import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useEffect, useMemo, useState } from "react"
import { Link } from "react-router"
import { answered, api, type ListedWreath } from "../keep/client"
import { useIsMaker, useOccasions, useWreathList } from "../keep/queries"
import { Deleted } from "../pieces/Deleted"
import { OnlyMakers } from "../pieces/ForMakers"
import { Page } from "../pieces/Page"
import { Search } from "../pieces/Search"
import { useUnits } from "../pieces/useUnits"
import { Keeping } from "./Keeping"
import { arranged, AT_A_TIME, found, groupings, ON_A_PAGE, orders } from "./listing"
import { isLinked, TakeInPicture } from "./TakeInPicture"
import { WreathRow } from "./WreathRow"
import { Problem } from "../pieces/Problem"

/** All wreaths, each drawn, with whether the stash is enough and what is to be paid. */
export function WreathsScreen() {
  const [units, setUnits] = useUnits()
  const list = useWreathList()
  const wreaths = list.data?.wreaths
  return (
    <Page title="Wreaths" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-7xl px-4 py-4 sm:px-6">
        <div className="flex items-baseline gap-4 pb-2">
          <h1 className="text-2xl">Wreaths</h1>
          <span className="text-quiet">{wreaths && countSays(wreaths)}</span>
          <OnlyMakers>
            <Link className="btn btn-primary ml-auto" to="/new">
              New wreath
            </Link>
          </OnlyMakers>
        </div>
        {isLinked() && (
          <OnlyMakers>
            <TakeInPicture />
          </OnlyMakers>
        )}
        {list.isError && <Problem>{list.error.message}</Problem>}
        {wreaths?.length === 0 && (
          <p className="py-6 text-quiet">
            Pick a form and see it covered, with what to cut, what to buy and what it costs.
          </p>
        )}
        {wreaths && wreaths.length > 0 && <List wreaths={wreaths} />}
        <OnlyMakers>
          {wreaths?.length === 0 && list.data?.example && <Example />}
          {wreaths && (
            <>
              {!isLinked() && <TakeInPicture />}
              <Deleted shelf="wreaths" />
              <Keeping />
            </>
          )}
        </OnlyMakers>
      </main>
    </Page>
  )
}

/** For who began with nothing and wants to look round. */
function Example() {
  const queries = useQueryClient()
  const load = useMutation({
    mutationFn: async () => answered(await api.POST("/example")),
    onSuccess: () => queries.invalidateQueries(),
  })
  return (
    <p className="flex flex-wrap items-center gap-3">
      <button type="button" className="btn" onClick={() => load.mutate()} disabled={load.isPending}>
        Load the example street
      </button>
      <span className="text-quiet">
        {load.isPending ? "Loading…" : "Twenty-seven wreaths, a stash and a lantern walk to look round in; made up."}
      </span>
      {load.isError && <Problem inline>{load.error.message}</Problem>}
    </p>
  )
}

const countSays = (wreaths: Listed) => {
  const out = wreaths.filter((each) => !each.put_away).length
  return `${out} planned`
}

type Listed = ListedWreath[]

/** Looked through, in order, in groups, page by page. */
function List({ wreaths }: { wreaths: Listed }) {
  const [text, setText] = useState("")
  const [order, setOrder] = useState("newest")
  const [grouping, setGrouping] = useState("none")
  const [page, setPage] = useState(0)
  const [away, setAway] = useState(false)
  const maker = useIsMaker()
  const putAway = wreaths.filter((each) => each.put_away).length
  // The last that is brought back closes the cupboard.
  const looking = away && putAway > 0
  const occasions = useOccasions().data
  const names = useMemo(() => Object.fromEntries((occasions ?? []).map(({ id, name }) => [id, name])), [occasions])
  const all = useMemo(
    () =>
      arranged(
        found(
          wreaths.filter((each) => (each.put_away ?? false) === looking),
          text,
        ),
        order,
        grouping,
        names,
      ),
    [wreaths, looking, text, order, grouping, names],
  )
  const pages = Math.max(Math.ceil(all.length / ON_A_PAGE), 1)
  const now = Math.min(page, pages - 1)
  const shown = all.slice(now * ON_A_PAGE, (now + 1) * ON_A_PAGE)
  const there = useGrowing([text, order, grouping, looking, now].join("|"), shown.length)
  const turn = (to: number) => {
    setPage(to)
    window.scrollTo({ top: 0 })
  }
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2 pb-2">
        <Search
          label="Look for a wreath"
          value={text}
          onChange={(looked) => {
            setText(looked)
            setPage(0)
          }}
        />
        <Choosing label="In order" value={order} choices={orders} onChange={setOrder} />
        <Choosing label="Groups" value={grouping} choices={groupings} onChange={setGrouping} />
        {putAway > 0 && (
          <button type="button" className="link" aria-pressed={looking} onClick={() => setAway(!looking)}>
            {looking ? "All that are planned" : `${putAway} put away`}
          </button>
        )}
      </div>
      {all.length === 0 && <p className="py-6 text-quiet">No wreath is called so.</p>}
      <ul className="grid gap-x-8 md:grid-cols-2">
        {shown.slice(0, there).map(({ wreath, group }, index) => (
          <WreathRow
            key={wreath.id}
            wreath={wreath}
            group={group === shown[index - 1]?.group ? "" : group}
            maker={maker}
          />
        ))}
        {shown.slice(there).map(({ wreath }) => (
          <li key={wreath.id} className="min-h-38 max-sm:min-h-42" />
        ))}
      </ul>
      {pages > 1 && (
        <nav aria-label="Pages" className="flex items-center gap-4 py-3">
          <button type="button" className="btn" disabled={now === 0} onClick={() => turn(now - 1)}>
            Before
          </button>
          <span>
            Page {now + 1} of {pages}
          </span>
          <button type="button" className="btn" disabled={now === pages - 1} onClick={() => turn(now + 1)}>
            Next
          </button>
        </nav>
      )}
    </>
  )
}

/**
 * How many rows of a page are there: a few at a time, so that nothing that is done meanwhile waits for all of them.
 * @param page what they are rows of
 */
function useGrowing(page: string, most: number): number {
  const [grown, setGrown] = useState({ page, there: AT_A_TIME })
  const there = grown.page === page ? grown.there : AT_A_TIME
  useEffect(() => {
    if (there >= most) return
    const next = setTimeout(() => setGrown({ page, there: there + AT_A_TIME }))
    return () => clearTimeout(next)
  }, [page, there, most])
  return there
}

interface ChoosingProps {
  label: string
  value: string
  choices: Record<string, { says: string }>
  onChange: (value: string) => void
}

function Choosing({ label, value, choices, onChange }: ChoosingProps) {
  return (
    <label className="flex items-center gap-2">
      {label}
      <select className="select w-40 text-left" value={value} onChange={(event) => onChange(event.target.value)}>
        {Object.entries(choices).map(([name, { says }]) => (
          <option key={name} value={name}>
            {says}
          </option>
        ))}
      </select>
    </label>
  )
}
