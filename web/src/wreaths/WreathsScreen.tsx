import { useMutation, useQueryClient } from "@tanstack/react-query"
import { Link } from "react-router"
import { Thumbnail } from "../drawing/Thumbnail"
import { answered, api, type WorkedPlan, type Wreath } from "../keep/client"
import { askAgain } from "../keep/keys"
import { useWork, useWreaths } from "../keep/queries"
import { Deleted } from "../pieces/Deleted"
import { Page } from "../pieces/Page"
import { Prose } from "../pieces/Prose"
import { useUnits } from "../pieces/useUnits"
import { Keeping } from "./Keeping"
import { money } from "../pieces/money"

/** All wreaths, each drawn, with whether the stash is enough and what is to be paid. */
export function WreathsScreen() {
  const [units, setUnits] = useUnits()
  const wreaths = useWreaths()
  const error = wreaths.error
  return (
    <Page title="Wreaths" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-7xl px-4 py-4 sm:px-6">
        <div className="flex items-baseline gap-4 pb-2">
          <h1 className="text-2xl">Wreaths</h1>
          <span className="text-quiet">{wreaths.data && `${wreaths.data.length} planned`}</span>
          <Link className="amber-button ml-auto" to="/new">
            New wreath
          </Link>
        </div>
        {error && (
          <p role="alert" className="font-semibold text-error">
            {error.message}
          </p>
        )}
        {wreaths.data?.length === 0 && (
          <p className="py-6 text-quiet">
            Pick a form and see it covered, with what to cut, what to buy and what it costs.
          </p>
        )}
        <ul className="grid gap-x-8 md:grid-cols-2">
          {wreaths.data?.map((wreath) => (
            <Row key={wreath.id} wreath={wreath} />
          ))}
        </ul>
        <Deleted shelf="wreaths" />
        <Keeping />
      </main>
    </Page>
  )
}

function Row({ wreath }: { wreath: Wreath }) {
  const work = useWork(wreath.problem ? undefined : wreath.plan).data
  const queries = useQueryClient()
  const remove = useMutation({
    mutationFn: async () => {
      const params = { path: { id: wreath.id }, query: { version: wreath.version } }
      return answered(await api.DELETE("/wreaths/{id}", { params }))
    },
    onSettled: () => askAgain(queries, ["wreaths", "bin"]),
  })
  const worked = work?.worked
  const to = `/wreaths/${wreath.id}/cover`
  return (
    <li className="flex items-center gap-4 border-b border-base-300 py-3">
      <Link to={to} className="h-32 w-32 shrink-0" tabIndex={-1} aria-hidden="true">
        {worked && <Thumbnail drawing={worked.drawing} materials={wreath.plan.materials ?? []} label={wreath.name} />}
      </Link>
      <div className="min-w-0 flex-1">
        <h2 className="text-lg leading-snug">
          <Link className="hover:underline" to={to}>
            {wreath.name}
          </Link>
        </h2>
        {worked && <Answers worked={worked} />}
        {(wreath.problem || (work && !worked)) && (
          <p className="text-sm">
            <span className="font-semibold text-error">Cannot be worked yet: </span>
            <Prose>{wreath.problem ?? work?.problems[0]?.says ?? ""}</Prose>
          </p>
        )}
        <button
          type="button"
          className="link-button text-sm text-quiet"
          onClick={() => remove.mutate()}
          aria-label={`Delete ${wreath.name}`}
        >
          Delete
        </button>
      </div>
    </li>
  )
}

/** What a wreath is, whether the stash is enough for it, and its first figures. */
function Answers({ worked }: { worked: WorkedPlan }) {
  const pay = Number(worked.cost.to_buy) > 0
  const short = worked.materials.some((material) => material.short > 0)
  const size = worked.drawing.dimensions.find((each) => !each.inset && !each.across && !each.follows)?.says ?? ""
  const layers = worked.layers.map((layer) => layer.title).join(", ") || "No covering yet"
  const figures = worked.tape.filter((figure) => figure.key === "count" || figure.key === "needed").slice(0, 2)
  const verdict = short ? "Not enough" : pay ? `${money(worked.cost.to_buy)} to pay` : "The stash is enough"
  return (
    <>
      <p className="text-sm text-quiet">
        <Prose>{`${layers} on a ${worked.form.base} ${worked.form.shape}, ${size}`}</Prose>
      </p>
      <p className="pt-1">
        <span className={`font-semibold ${short ? "text-error" : pay ? "" : "text-secondary"}`}>{verdict}</span>
        {figures.map((figure) => (
          <span key={figure.id} className="text-quiet">
            {" "}
            · <Prose>{`${figure.figure} ${figure.says}`}</Prose>
          </span>
        ))}
      </p>
    </>
  )
}
