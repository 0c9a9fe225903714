import { useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { Link, useNavigate, useParams, useSearchParams } from "react-router"
import { answered, api, type Finding, type WorkedOccasion } from "../keep/client"
import { askAgain, keys } from "../keep/keys"
import { useIsMaker, useWorkedOccasion } from "../keep/queries"
import { ChangedElsewhere } from "../pieces/ChangedElsewhere"
import { Conflict } from "../pieces/Conflict"
import { OpenChoice } from "../pieces/OpenChoice"
import { Fetching } from "../pieces/Fetching"
import { ForMakers } from "../pieces/ForMakers"
import { Page } from "../pieces/Page"
import { Prose } from "../pieces/Prose"
import { savingSays } from "../pieces/savingSays"
import { dayText, hoursText } from "./days"
import { OccasionBench } from "./OccasionBench"
import { Buying } from "./OccasionBuying"
import { Cutting } from "./OccasionCutting"
import { Days } from "./OccasionDays"
import { OccasionDoors } from "./OccasionDoors"
import { Gathering } from "./OccasionGathering"
import { useOccasion, type OccasionSaid } from "./useOccasion"
import { money } from "../pieces/money"
import { Problem } from "../pieces/Problem"

type View = "days" | "wreaths" | "doors" | "buy" | "cut" | "bench"
type Kept = ReturnType<typeof useOccasion>

const views: { value: View; says: string }[] = [
  { value: "days", says: "Days" },
  { value: "wreaths", says: "Wreaths" },
  { value: "doors", says: "Doors" },
  { value: "buy", says: "Buy" },
  { value: "cut", says: "Cut" },
  { value: "bench", says: "Bench" },
]

const NAME =
  "w-80 max-w-full border-b border-transparent bg-transparent font-display text-2xl font-bold " +
  "hover:border-base-300 focus:border-base-content"

/** Several wreaths for one day: when to buy and make them, what to buy, one cut sheet for all. */
export function OccasionScreen() {
  const { id } = useParams()
  return <OneOccasion key={id} id={Number(id)} />
}

function OneOccasion({ id }: { id: number }) {
  const occasion = useOccasion(id)
  if (occasion.missing) return <Missing />
  if (!occasion.said) return <Fetching what="Occasion" />
  return <Open id={id} occasion={occasion} said={occasion.said} />
}

function Open({ id, occasion, said }: { id: number; occasion: Kept; said: OccasionSaid }) {
  const { data, isPending } = useWorkedOccasion(id)
  const [part, setPart] = useSearchParams()
  const view = views.find(({ value }) => value === part.get("part"))?.value ?? "days"
  const worked = data?.worked
  const keep = occasion.change
  const maker = useIsMaker()
  return (
    <Page title={said.name} units={said.units} onUnits={maker ? (units) => keep({ ...said, units }) : undefined}>
      <main className="mx-auto max-w-6xl px-4 py-3 sm:px-6">
        {occasion.conflict && <Conflict what="occasion" differences={occasion.conflict} onSettle={occasion.settle} />}
        <ChangedElsewhere what="occasion" changed={occasion.elsewhere} onClose={occasion.dismiss} />
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
          <h1 className="min-w-0 max-w-full">
            <input
              aria-label="Name of the occasion"
              className={NAME}
              readOnly={!maker}
              value={said.name}
              onChange={(event) => keep({ ...said, name: event.target.value })}
            />
          </h1>
          <span role="status" className="text-sm text-quiet">
            {savingSays[occasion.saving]}
          </span>
          <Files id={id} dated={worked?.dates !== undefined} />
        </div>
        {worked && <Figures worked={worked} />}
        {data?.problems.map((problem) => (
          <Problem key={problem.at + problem.says} className="pt-2">
            <Prose>{problem.says}</Prose>
          </Problem>
        ))}
        {worked?.findings
          .filter(({ code }) => code !== "over_budget")
          .map((finding) => (
            <p key={finding.code} className={`my-2 border-l-4 pl-3 ${weight[finding.level]}`}>
              {finding.says}
            </p>
          ))}
        <div className="no-print py-3">
          <OpenChoice
            label="Part"
            name="view"
            value={view}
            choices={views}
            onChange={(next) => setPart({ part: next }, { replace: true })}
          />
        </div>
        {view === "days" && (
          <ForMakers>
            <Days said={said} problems={occasion.problems} keep={keep} worked={worked} />
          </ForMakers>
        )}
        {view === "wreaths" && (
          <ForMakers>
            {occasion.refused && <Problem>{occasion.refused}</Problem>}
            <Gathering chosen={occasion.wreaths} onGather={occasion.gather} />
          </ForMakers>
        )}
        {view === "doors" && <OccasionDoors id={id} />}
        {view === "buy" && worked && (
          <ForMakers>
            <Buying id={id} worked={worked} planned={occasion.planned} />
          </ForMakers>
        )}
        {view === "cut" && worked && <Cutting worked={worked} occasion={occasion} />}
        {view === "bench" && worked && <OccasionBench id={id} worked={worked} planned={occasion.planned} />}
        {/* Only once all above it is there, so that it does not move away under the hand. */}
        {!isPending && maker && <Removing id={id} />}
      </main>
    </Page>
  )
}

const weight: Record<Finding["level"], string> = {
  stop: "border-error font-semibold",
  warn: "border-primary",
  note: "border-base-300 text-quiet",
}

function Files({ id, dated }: { id: number; dated: boolean }) {
  const path = `/api/occasions/${id}`
  return (
    <span className="no-print ml-auto flex flex-wrap gap-2">
      <a className="btn" href={`${path}/sheet.pdf`} download>
        PDF
      </a>
      <a className="btn" href={`${path}/class.pdf`} download>
        Class cards
      </a>
      <a className="btn" href={`${path}/sheet.csv`} download>
        CSV
      </a>
      {dated && (
        <a className="btn" href={`${path}/days.ics`} download>
          Calendar
        </a>
      )}
    </span>
  )
}

/** The answers of an occasion at a glance. */
function Figures({ worked }: { worked: WorkedOccasion }) {
  const { saving, budget, cost, dates, quantity } = worked
  const saved = saving.worse ? "more than one by one" : `saved over ${money(saving.one_by_one)} one by one`
  return (
    <dl className="flex flex-wrap gap-x-10 gap-y-2 border-b border-base-300 py-3">
      <Figure figure={String(quantity)} says={quantity === 1 ? "wreath" : "wreaths"} />
      <Figure
        figure={money(cost.to_pay ?? cost.to_buy)}
        says={budget ? budget.says : "to pay"}
        bad={budget?.kept === false}
      />
      <Figure figure={money(saving.saved)} says={saved} />
      <Figure figure={hoursText(worked.minutes)} says="at the bench" />
      {dates && <Figure figure={dayText(dates.buy_by)} says="the last day to buy" />}
    </dl>
  )
}

function Figure({ figure, says, bad }: { figure: string; says: string; bad?: boolean }) {
  return (
    <div className="flex flex-col-reverse">
      <dt className={`text-sm ${bad ? "font-semibold text-error" : "text-quiet"}`}>{says}</dt>
      <dd className="font-display text-2xl font-bold">{figure}</dd>
    </div>
  )
}

/** Deletes an occasion, whatever was saved of it last. */
async function deleteAsItIs(id: number, triesLeft = 3): Promise<void> {
  const path = { id }
  const { version } = answered(await api.GET("/occasions/{id}", { params: { path } }))
  const gone = await api.DELETE("/occasions/{id}", { params: { path, query: { version } } })
  if (gone.response.status === 409 && triesLeft > 1) return deleteAsItIs(id, triesLeft - 1)
  answered(gone)
}

function Removing({ id }: { id: number }) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [refused, setRefused] = useState("")
  // Nothing that is still being worked out for it is waited for; and when it is saved meanwhile, it is deleted as it
  // is then. The page is left first: what is asked again then is only what the list shows.
  const remove = async () => {
    await queries.cancelQueries({ queryKey: keys.occasion(id) })
    await deleteAsItIs(id)
    void navigate("/occasions")
    queries.removeQueries({ queryKey: keys.occasion(id) })
    void askAgain(queries, ["occasions", "bin"])
  }
  return (
    <p className="no-print pt-6">
      {refused && (
        <Problem inline className="block">
          {refused}
        </Problem>
      )}
      <button
        type="button"
        className="link text-sm text-quiet"
        onClick={() => void remove().catch((error: Error) => setRefused(error.message))}
      >
        Delete this occasion; its wreaths stay
      </button>
    </p>
  )
}

function Missing() {
  return (
    <Page title="Not found" units="in" onUnits={() => {}}>
      <main className="p-6">
        <h1 className="text-2xl">This occasion is not here</h1>
        <p>
          <Link className="underline" to="/occasions">
            All occasions
          </Link>
        </p>
      </main>
    </Page>
  )
}
