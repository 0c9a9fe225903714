import { useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { Link } from "react-router"
import { api, type Make } from "../keep/client"
import { askAgain } from "../keep/keys"
import { useNotebook } from "../keep/queries"
import { ForMakers } from "../pieces/ForMakers"
import { hasWords } from "../pieces/hasWords"
import { Page } from "../pieces/Page"
import { Prose } from "../pieces/Prose"
import { Search } from "../pieces/Search"
import { useUnits } from "../pieces/useUnits"
import { CalibrationPlot } from "./CalibrationPlot"
import { LearnedPlot } from "./LearnedPlot"
import { Problem } from "../pieces/Problem"

/** What each wreath took against what was planned, and what that teaches. */
export function NotebookScreen() {
  const [units, setUnits] = useUnits()
  const notebook = useNotebook()
  const { makes = [], learned = [] } = notebook.data ?? {}
  const [text, setText] = useState("")
  const shown = makes.filter(({ wreath_name, note, lines, steps }) =>
    hasWords(
      [wreath_name, note, ...lines.flatMap(({ name, title }) => [name, title]), ...steps.map(({ title }) => title)],
      text,
    ),
  )
  return (
    <Page title="Notebook" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-6xl px-4 py-4 sm:px-6">
        <h1 className="text-2xl">Notebook</h1>
        {notebook.isError && <Problem>{notebook.error.message}</Problem>}
        {notebook.data && makes.length === 0 && (
          <p className="py-6 text-quiet">
            Finish a wreath at the bench, and what it really took stands here; after a few, the next plan knows.{" "}
            <Link className="underline" to="/">
              Choose a wreath
            </Link>
          </p>
        )}
        {makes.length > 0 && (
          <div className="grid gap-x-12 lg:grid-cols-2">
            <section aria-label="What was learned">
              <h2 className="pt-3 text-lg">What it teaches</h2>
              <p className="text-sm text-quiet">
                Used for every one planned. Each dot is a make; the line is what the next plan would count with, the
                band how far makes lie apart. Each wreath’s cover stage offers it; nothing is counted unasked.
              </p>
              {notebook.data && <CalibrationPlot calibration={notebook.data.calibration} />}
              <ul>
                {learned.map((each) => (
                  <li key={`${each.method}.${each.material}`} className="border-b border-base-300 py-3">
                    <LearnedPlot learned={each} />
                  </li>
                ))}
              </ul>
            </section>
            <section aria-label="What was made">
              <div className="flex flex-wrap items-baseline justify-between gap-x-4 pt-3">
                <h2 className="text-lg">What was made</h2>
                <Search
                  label="Look for what was made"
                  placeholder="A wreath, a material, a step"
                  value={text}
                  onChange={setText}
                />
              </div>
              {shown.length === 0 && <p className="py-4 text-quiet">Nothing that was made is called so.</p>}
              <ul>
                <ForMakers quiet>
                  {shown.map((make) => (
                    <Entry key={make.id} make={make} />
                  ))}
                </ForMakers>
              </ul>
            </section>
          </div>
        )}
      </main>
    </Page>
  )
}

/** What a device counted that was away when this was finished. */
function Late({ says, onSettle }: { says: string; onSettle: (take: boolean) => void }) {
  return (
    <div className="my-1 border-l-4 border-primary pl-3">
      <p>Counted for this one on another device, and came after it was finished: {says}.</p>
      <p className="flex gap-3">
        <button type="button" className="btn" onClick={() => onSettle(true)}>
          Add it here
        </button>
        <button type="button" className="link" onClick={() => onSettle(false)}>
          Leave it out
        </button>
      </p>
    </div>
  )
}

function Entry({ make }: { make: Make }) {
  const queries = useQueryClient()
  const remove = async () => {
    await api.DELETE("/makes/{id}", { params: { path: { id: make.id }, query: { version: make.version } } })
    await askAgain(queries, ["notebook"])
  }
  const settleLate = async (take: boolean) => {
    await api.PUT("/makes/{id}/late", { params: { path: { id: make.id } }, body: { take } })
    await askAgain(queries, ["notebook"])
  }
  return (
    <li className="flex gap-4 border-b border-base-300 py-3">
      {make.photo && (
        <img
          src={`/api/makes/${make.id}/photo`}
          alt={`${make.wreath_name}, finished`}
          className="h-24 w-24 shrink-0 object-cover"
        />
      )}
      <div className="min-w-0 flex-1">
        <h3 className="text-base">
          {make.wreath ? (
            <Link className="hover:underline" to={`/wreaths/${make.wreath}/cover`}>
              {make.wreath_name}
            </Link>
          ) : (
            make.wreath_name
          )}
        </h3>
        <p className="text-sm text-quiet">
          {new Date(make.made_at).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" })}
          {make.count > 1 && `, ${make.count} wreaths`}
          {make.steps.length === 0 ? ", no times taken" : make.minutes > 0 && `, ${make.minutes} min at the bench`}
        </p>
        <table className="ledger w-full text-sm">
          <caption className="sr-only">Used against planned</caption>
          <tbody>
            {make.lines.map((line) => (
              <tr key={`${line.method}.${line.material}`}>
                <td>
                  {line.name}, {line.title.toLowerCase()}
                </td>
                <td>
                  planned <Prose>{line.planned_says}</Prose>
                </td>
                <td>
                  <Prose>{line.used_says}</Prose>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {make.steps.length > 0 && (
          <details>
            <summary className="cursor-pointer py-1 text-sm">What each step took</summary>
            <table className="ledger w-full text-sm">
              <caption className="sr-only">Minutes at the bench, step by step</caption>
              <tbody>
                {make.steps.map((step) => (
                  <tr key={step.title}>
                    <td>{step.title}</td>
                    <td>planned {Math.round(step.planned)} min</td>
                    <td>{Math.round(step.took)} min</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </details>
        )}
        {make.late && <Late says={make.late} onSettle={(take) => void settleLate(take)} />}
        {make.note && <p className="pt-1">{make.note}</p>}
        <button
          type="button"
          className="link text-sm text-quiet"
          onClick={() => void remove()}
          aria-label={`Delete this entry: ${make.wreath_name}`}
        >
          Delete this entry
        </button>
      </div>
    </li>
  )
}
