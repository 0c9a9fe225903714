import { useMutation, useQueryClient } from "@tanstack/react-query"
import { Link, useNavigate } from "react-router"
import { answered, api, sent, type Plan, type Wreath } from "../api/client"
import { useStash, useWork, useWreaths } from "../api/queries"
import { Thumbnail } from "../drawing/Thumbnail"
import { Page } from "../pieces/Page"
import { Prose } from "../pieces/Prose"
import { useUnits } from "../pieces/useUnits"
import { Keeping } from "./Keeping"

/** All wreaths, each drawn, with whether the stash is enough and what is to be paid. */
export function WreathsScreen() {
  const [units, setUnits] = useUnits()
  const wreaths = useWreaths()
  const stash = useStash(units).data
  const navigate = useNavigate()
  const queries = useQueryClient()
  const begin = useMutation({
    mutationFn: async () => {
      const rope = stash?.find((each) => each.material.kind === "rope")?.material
      const plan: Plan = {
        format: "crisp-lantern/plan", version: 1, name: "New wreath", units,
        form: units === "in" ? { base: "wire", shape: "ring", outside: 14, inside: 8 } : { base: "wire", shape: "ring", outside: 35, inside: 20 },
        materials: rope ? [rope] : [], layers: rope ? [{ id: "layer-1", method: "rope_coil", material: rope.id }] : [],
      }
      return answered(await api.POST("/wreaths", { body: { plan: sent(plan) } }))
    },
    onSuccess: (wreath) => {
      void queries.invalidateQueries({ queryKey: ["wreaths"] })
      void navigate(`/wreaths/${wreath.id}/form`)
    },
  })
  return (
    <Page title="Wreaths" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-7xl px-4 py-4 sm:px-6">
        <div className="flex items-baseline gap-4 pb-2">
          <h1 className="text-2xl">Wreaths</h1>
          <span className="text-quiet">{wreaths.data && `${wreaths.data.length} planned`}</span>
          <button type="button" className="amber-button ml-auto" onClick={() => begin.mutate()} disabled={begin.isPending}>New wreath</button>
        </div>
        {(wreaths.isError || begin.isError) && <p role="alert" className="font-semibold text-error">{(wreaths.error ?? begin.error)?.message}</p>}
        {wreaths.data?.length === 0 && <p className="py-6 text-quiet">Pick a form and see it covered, with what to cut, what to buy and what it costs.</p>}
        <ul className="grid gap-x-8 md:grid-cols-2">
          {wreaths.data?.map((wreath) => <Row key={wreath.id} wreath={wreath} />)}
        </ul>
        <Keeping />
      </main>
    </Page>
  )
}

function Row({ wreath }: { wreath: Wreath }) {
  const work = useWork(wreath.plan).data
  const queries = useQueryClient()
  const remove = useMutation({
    mutationFn: async () => answered(await api.DELETE("/wreaths/{id}", { params: { path: { id: wreath.id }, query: { version: wreath.version } } })),
    onSettled: () => queries.invalidateQueries({ queryKey: ["wreaths"] }),
  })
  const worked = work?.worked
  const pay = worked && Number(worked.cost.to_buy) > 0
  const short = worked?.materials.some((material) => material.short > 0)
  return (
    <li className="flex items-center gap-4 border-b border-base-300 py-3">
      <Link to={`/wreaths/${wreath.id}/cover`} className="h-32 w-32 shrink-0" tabIndex={-1} aria-hidden="true">
        {worked && <Thumbnail drawing={worked.drawing} materials={wreath.plan.materials ?? []} label={wreath.name} />}
      </Link>
      <div className="min-w-0 flex-1">
        <h2 className="text-lg leading-snug"><Link className="hover:underline" to={`/wreaths/${wreath.id}/cover`}>{wreath.name}</Link></h2>
        <p className="text-sm text-quiet"><Prose>{worked ? `${worked.layers.map((layer) => layer.title).join(", ") || "No covering yet"} on a ${worked.form.base} ${worked.form.shape}, ${worked.drawing.dimensions.find((each) => !each.inset && !each.across && !each.follows)?.says ?? ""}` : (work?.problems[0]?.says ?? "…")}</Prose></p>
        {worked && (
          <p className="pt-1">
            <span className={`font-semibold ${short ? "text-error" : pay ? "" : "text-secondary"}`}>{short ? "Cannot be had" : pay ? `${worked.cost.to_buy} to pay` : "The stash is enough"}</span>
            {worked.tape.filter((figure) => /^(count|needed)/.test(figure.id)).slice(0, 2).map((figure) => <span key={figure.id} className="text-quiet"> · <Prose>{`${figure.figure} ${figure.says}`}</Prose></span>)}
          </p>
        )}
        <button type="button" className="link-button text-sm text-quiet" onClick={() => remove.mutate()} aria-label={`Delete ${wreath.name}`}>Delete</button>
      </div>
    </li>
  )
}
