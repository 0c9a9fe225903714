import { useState, type ReactNode } from "react"
import { Link } from "react-router"
import { useStash } from "../api/queries"
import type { Covering } from "../api/client"
import { OpenChoice } from "../pieces/OpenChoice"
import { LayerControls } from "./LayerControls"
import { freshId, withMaterials } from "./layers"
import type { StageProps } from "./stageProps"

type Stage = Covering["stage"]

const empty: Record<Stage, { title: string; says: string; more: string }> = {
  cover: { title: "Nothing on it yet", says: "Choose a covering, and the drawing shows it on this form.", more: "Add a layer on top" },
  trim: { title: "Nothing fixed on yet", says: "A bow, picks, a sign: each at its place by the clock, with what holds it.", more: "Add another" },
  hang: { title: "Nothing to hang it by yet", says: "Fitted before the covering, a hanger is out of sight.", more: "Add to it" },
}

interface Props extends StageProps {
  stage: Stage
  /** What else belongs to this stage. */
  children?: ReactNode
}

/** The layers of one stage of the work: what covers it, what trims it, what it hangs by. */
export function LayersStage({ stage, children, ...props }: Props) {
  const { plan, declarations, onChange } = props
  const [chosen, setChosen] = useState(0)
  const stash = useStash(plan.units).data ?? []
  const layers = plan.layers ?? []
  const known = [...(plan.materials ?? []), ...stash.map((each) => each.material).filter((material) => !plan.materials?.some((own) => own.id === material.id))]
  const declared = (method: string) => declarations.coverings.find((covering) => covering.method === method)
  const offered = declarations.coverings.filter((covering) => covering.stage === stage)
  const own = layers.map((layer, index) => ({ layer, index })).filter(({ layer }) => (declared(layer.method)?.stage ?? "cover") === stage)
  const place = Math.min(chosen, Math.max(own.length - 1, 0))
  const open = own[place]
  const add = (covering: Covering) => {
    const material = covering.takes.flatMap((kind) => known.find((each) => each.kind === kind) ?? [])[0]
    onChange(withMaterials({ ...plan, layers: [...layers, { id: freshId(layers), method: covering.method, ...(covering.method === "attach" ? {} : { material: material?.id }) }] }, known))
    setChosen(own.length)
  }
  const words = empty[stage]
  return (
    <section aria-label={{ cover: "Cover", trim: "Trim", hang: "Hang" }[stage]}>
      {own.length > 1 && (
        <div className="row"><span>Layer</span>
          <OpenChoice label="Layer" name="layer" value={String(place)} onChange={(value) => setChosen(Number(value))}
            choices={own.map(({ layer }, i) => ({ value: String(i), says: `${i + 1}. ${declared(layer.method)?.title ?? layer.method}` }))} />
        </div>
      )}
      {open ? <LayerControls key={open.layer.id} {...props} layer={open.layer} index={open.index} known={known} /> : (
        <>
          <h2 className="text-xl">{words.title}</h2>
          <p className="py-2 text-quiet">{words.says}</p>
          {stage === "cover" && <p className="pb-3"><Link className="amber-button inline-block" to="../coverings" relative="path">See all on this form</Link></p>}
          <ul className="flex flex-wrap gap-3">
            {offered.map((covering, i) => <li key={covering.method}><button type="button" className={stage !== "cover" && i === offered.length - 1 ? "amber-button" : "plain-button"} onClick={() => add(covering)}>{stage === "cover" ? covering.title : `Add: ${covering.title.toLowerCase()}`}</button></li>)}
          </ul>
        </>
      )}
      {open && (
        <p className="no-print flex flex-wrap gap-4 pt-3 text-sm">
          {stage === "cover"
            ? <button type="button" className="link-button" onClick={() => add(offered.find((each) => known.some((material) => each.takes.includes(material.kind))) ?? offered[0]!)}>{words.more}</button>
            : offered.map((covering) => <button key={covering.method} type="button" className="link-button" onClick={() => add(covering)}>Add: {covering.title.toLowerCase()}</button>)}
          <button type="button" className="link-button" onClick={() => onChange({ ...plan, layers: layers.filter((each) => each !== open.layer) })}>Take this layer off</button>
        </p>
      )}
      {children}
    </section>
  )
}
