import { useEffect, useRef, useState } from "react"
import { Link, useParams } from "react-router"
import { answered, api, sent, type Units, type WorkedPlan } from "../api/client"
import { useDeclarations, useWork } from "../api/queries"
import { Sheet, type Placing, type Sizing } from "../drawing/Sheet"
import { Dialog } from "../pieces/Dialog"
import { Page } from "../pieces/Page"
import { Prose } from "../pieces/Prose"
import { CoveringsView } from "../coverings/CoveringsView"
import { BuyStage } from "./BuyStage"
import { Cord } from "./Cord"
import { CoverStage } from "./CoverStage"
import { CutStage } from "./CutStage"
import { HangStage } from "./HangStage"
import { TrimStage } from "./TrimStage"
import { FormStage } from "./FormStage"
import { put } from "./places"
import { Tape } from "./Tape"
import type { StageProps } from "./stageProps"
import { useWreath, type Saving } from "./useWreath"

const stageScreens: Record<string, (props: StageProps) => React.ReactNode> = { form: FormStage, cover: CoverStage, trim: TrimStage, hang: HangStage, cut: CutStage, buy: BuyStage }

const savingSays: Record<Saving, string> = { saved: "saved", saving: "saving", waiting: "saving", conflict: "changed elsewhere", failed: "not saved yet, trying again" }

/** One wreath: the drawing and the tape stay put while the stages change. */
export function WreathScreen() {
  const { id, stage = "cover" } = useParams()
  const wreath = useWreath(Number(id))
  const declarations = useDeclarations().data
  const work = useWork(wreath.plan).data
  const lastGood = useRef<WorkedPlan>(undefined)
  if (work?.worked) lastGood.current = work.worked
  const { plan, change, undo } = wreath
  const [measuring, setMeasuring] = useState<string>()

  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key === "z" && !(event.target instanceof HTMLInputElement) && undo) {
        event.preventDefault()
        undo()
      }
    }
    window.addEventListener("keydown", key)
    return () => window.removeEventListener("keydown", key)
  }, [undo])

  if (wreath.missing) return <Page title="Not found" units="in" onUnits={() => {}}><main className="p-6"><h1 className="text-2xl">This wreath is not here</h1><p>It may have been deleted. <Link className="underline" to="/">All wreaths</Link></p></main></Page>
  if (!plan || !declarations) return <Page title="Wreath" units="in" onUnits={() => {}}><main className="p-6" aria-busy="true"><h1 className="text-quiet">Fetching the wreath…</h1></main></Page>

  const worked = lastGood.current
  const problems = work?.problems ?? []
  const Stage = stageScreens[stage] ?? CoverStage
  const changeUnits = async (units: Units) => change(answered(await api.POST("/units", { body: { plan: sent(plan), to: units } })))
  const shape = declarations.forms.shapes.find((each) => each.name === plan.form.shape)
  const sizing: Sizing = {
    measuring, labels: Object.fromEntries(shape?.fields.map((field) => [`form.${field.name}`, field.label]) ?? []),
    problem: (about) => problems.find((problem) => problem.at === about)?.says,
    onSize: (about, text) => change(put(plan, about, /^\d+(\.\d+)?$/.test(text.trim()) ? Number(text) : text.trim() === "" ? undefined : text)),
  }
  const placed = declarations.coverings.filter((each) => each.stage !== "cover" && each.options.some((option) => option.name === "at")).map((each) => each.method)
  const placing: Placing = {
    layers: (plan.layers ?? []).filter((layer) => placed.includes(layer.method)).map((layer) => ({ id: layer.id, says: declarations.coverings.find((each) => each.method === layer.method)?.title ?? layer.method, at: Number((layer as Record<string, unknown>).at ?? worked?.layers.find((each) => each.id === layer.id)?.settings.at ?? 6) })),
    onPlace: (id, at) => change(put(plan, `layers.${(plan.layers ?? []).findIndex((layer) => layer.id === id)}.at`, at)),
  }
  const loose = problems.filter((problem) => !/^(form|layers)\./.test(problem.at))
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <Page title={plan.name ?? "Wreath"} units={plan.units} onUnits={(units) => void changeUnits(units)}>
        <main className="flex min-h-0 flex-1 flex-col">
        <div className="flex flex-wrap items-baseline gap-x-4 px-4 pt-2 sm:px-6">
          <h1 className="min-w-0">
            <input aria-label="Name of the wreath" className="w-96 max-w-full border-b border-transparent bg-transparent font-display text-2xl font-bold hover:border-base-300 focus:border-base-content" value={plan.name ?? ""} onChange={(event) => change({ ...plan, name: event.target.value || undefined })} />
          </h1>
          <label className="flex items-baseline gap-2 text-quiet">Wreaths alike
            <input className="field-input !min-h-7 !w-16" inputMode="numeric" aria-label="Wreaths alike" value={plan.quantity ?? 1} aria-invalid={problems.some((problem) => problem.at === "quantity")}
              onChange={(event) => change({ ...plan, quantity: /^\d+$/.test(event.target.value) ? Number(event.target.value) : (event.target.value as unknown as number) })} />
          </label>
          <span role="status" className="text-sm text-quiet">{savingSays[wreath.saving]}</span>
          {undo && <button type="button" className="link-button text-sm" onClick={undo}>Undo</button>}
        </div>
        <Cord current={stage === "coverings" ? "cover" : stage} settled={problems.length > 0 ? undefined : worked?.stages} made={wreath.bench.made > 0} />
        {stage === "coverings" ? <CoveringsView plan={plan} onChoose={change} /> : <div className="grid min-h-0 flex-1 gap-6 px-4 pb-3 sm:px-6 lg:grid-cols-[minmax(0,10fr)_minmax(0,9fr)]">
          {worked ? <Sheet worked={worked} materials={plan.materials ?? []} sizing={stage === "form" ? sizing : undefined} plan={stage === "cover" ? plan : undefined} placing={stage === "trim" || stage === "hang" ? placing : undefined} /> : <div className="rounded border border-base-300 bg-base-200 p-6 text-quiet">{problems.length > 0 ? "The drawing comes when the sizes can be." : "Drawing the form…"}</div>}
          <div className="min-h-0 lg:overflow-y-auto lg:pr-2" tabIndex={0} role="region" aria-label="Stage">
            {loose.length > 0 && <ul className="border-l-4 border-error pl-3">{loose.map((problem) => <li key={problem.at + problem.says} className="font-semibold text-error"><Prose>{problem.says}</Prose></li>)}</ul>}
            {problems.length > 0 && worked && <p className="text-sm text-quiet">The drawing and the tape show the last plan that could be worked.</p>}
            <Stage plan={plan} worked={worked} problems={problems} declarations={declarations} onChange={change} onMeasure={setMeasuring} id={Number(id)}
              bench={wreath.bench} onTick={(place, done) => void wreath.tick(place, done)} onStash={(sheet) => void wreath.settleStash(sheet)} refused={wreath.refused} />
          </div>
        </div>}
        </main>
        {worked && <Tape worked={worked} stale={problems.length > 0} />}
      </Page>
      {wreath.theirs && (
        <Dialog title="This wreath was changed somewhere else" onClose={() => {}}>
          <p>It was saved elsewhere while you were changing it here. Both are still there; choose which goes on. The other one can be had back with Undo if you take theirs.</p>
          <dl className="grid grid-cols-2 gap-4 py-3">
            {([["Yours", plan], ["Theirs", wreath.theirs.plan]] as const).map(([says, each]) => <div key={says}><dt className="font-semibold">{says}</dt><dd>{each.name}: {(each.layers ?? []).map((layer) => layer.method.replaceAll("_", " ")).join(", ") || "no covering"}, {Object.entries(each.form).filter(([, value]) => typeof value !== "object").map(([key, value]) => `${key} ${String(value)}`).join(", ")}</dd></div>)}
          </dl>
          <p className="flex gap-3"><button type="button" className="amber-button" onClick={() => wreath.settle("mine")}>Go on with mine</button><button type="button" className="plain-button" onClick={() => wreath.settle("theirs")}>Take theirs</button></p>
        </Dialog>
      )}
    </div>
  )
}
