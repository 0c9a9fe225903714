import { lazy, Suspense, useEffect, useRef, useState, type ReactNode } from "react"
import { Link } from "react-router"
import type { Covering, Declarations, Material, PlanLayer } from "../keep/client"
import { LayerControls } from "./LayerControls"
import { copied, freshId, layersOf, moved, namesOf, sittingOn, withMaterials, without } from "./layers"
import type { StageProps } from "./stageProps"
import { useKnownMaterials } from "./useKnownMaterials"

const AddLayer = lazy(async () => ({ default: (await import("./AddLayer")).AddLayer }))
const LayerOrder = lazy(async () => ({ default: (await import("./LayerOrder")).LayerOrder }))

interface Props extends StageProps {
  stage: Covering["stage"]
  /** What else belongs to this stage. */
  children?: ReactNode
}

/** The layers of one stage of the work: what covers it, what trims it, what it hangs by. */
export function LayersStage({ stage, children, ...props }: Props) {
  const { plan, declarations, onChange, onAtHand } = props
  const [chosen, setChosen] = useState(0)
  const [asking, setAsking] = useState<string>()
  const known = useKnownMaterials(plan)
  const declared = declarations.stages.find((each) => each.key === stage)
  const offered = declarations.coverings.filter((covering) => covering.stage === stage)
  const own = layersOf(plan, stage, declarations.coverings)
  const place = Math.min(chosen, Math.max(own.length - 1, 0))
  const open = own[place]
  const [adding, setAdding] = useState(false)
  const section = useFromItsTop(open?.layer.id)
  useEffect(() => onAtHand(open?.layer.id), [onAtHand, open?.layer.id])
  const add = (covering: Covering, layer?: PlanLayer) => {
    onChange(withLayer(props, covering, known, layer))
    setChosen(own.length)
  }
  const names = namesOf(plan.layers ?? [], declarations.coverings, plan.materials)
  // Beneath what is said of the layer: it comes with that, and does not jump.
  const answered = props.worked !== undefined || props.problems.length > 0
  const sitting = open ? sittingOn(plan.layers ?? [], open.layer.id) : []
  const takeOff = (what: "go too" | "stay") => {
    if (open) onChange(without(plan, open.layer, what))
    setAsking(undefined)
  }
  const nameOf = (id: string) => names.find(({ value }) => value === id)?.says.replace(/ \d+$/, "") ?? id
  return (
    <section ref={section} aria-label={declared?.title}>
      {own.length > 1 && (
        <Suspense fallback={<div className="h-11" />}>
          <LayerOrder
            layers={own.map(({ layer }) => ({ id: layer.id, says: nameOf(layer.id) }))}
            chosen={place}
            onChoose={setChosen}
            onMove={(from, to) => {
              onChange(moved(plan, own[from]!.index, own[to]!.index, own))
              setChosen(to)
            }}
          />
        </Suspense>
      )}
      {open ? (
        <LayerControls key={open.layer.id} {...props} layer={open.layer} index={open.index} known={known} />
      ) : (
        <Nothing stage={declared} offered={offered} onAdd={add} />
      )}
      {open && answered && (
        <p className="no-print flex flex-wrap gap-4 pt-3 text-sm">
          <More stage={declared} offered={offered} onAdd={add} onAsk={() => setAdding(true)} />
          <button
            type="button"
            className="link"
            onClick={() => {
              onChange(copied(plan, open.index))
              setChosen(place + 1)
            }}
          >
            Copy this layer
          </button>
          <button
            type="button"
            className="link"
            onClick={() => (sitting.length > 0 ? setAsking(open.layer.id) : takeOff("stay"))}
          >
            Take this layer off
          </button>
        </p>
      )}
      {adding && (
        <Suspense>
          <AddLayer plan={plan} known={known} offered={offered} onAdd={add} onClose={() => setAdding(false)} />
        </Suspense>
      )}
      {open && asking === open.layer.id && sitting.length > 0 && (
        <WithoutIt
          names={sitting.map(({ id }) => names.find(({ value }) => value === id)?.says ?? id)}
          onTakeOff={takeOff}
          onLeave={() => setAsking(undefined)}
        />
      )}
      {children}
    </section>
  )
}

interface WithoutProps {
  names: string[]
  onTakeOff: (sitting: "go too" | "stay") => void
  onLeave: () => void
}

/** What becomes of what sits on a layer that is taken off. */
function WithoutIt({ names, onTakeOff, onLeave }: WithoutProps) {
  const one = names.length === 1
  return (
    <div role="alertdialog" aria-label="What sits on it" className="my-2 border-l-4 border-primary pl-3">
      <p>
        {names.join(" and ")} {one ? "sits" : "sit"} on it.
      </p>
      <p className="flex flex-wrap gap-2 pt-1">
        <button type="button" className="btn" onClick={() => onTakeOff("stay")}>
          Put {one ? "it" : "them"} where this was
        </button>
        <button type="button" className="btn" onClick={() => onTakeOff("go too")}>
          Take {one ? "it" : "them"} off too
        </button>
        <button type="button" className="link" onClick={onLeave}>
          Leave everything
        </button>
      </p>
    </div>
  )
}

/** The plan with one more layer, as it is given, or of the material that suits it best of what there is. */
function withLayer({ plan }: StageProps, covering: Covering, known: Material[], given?: PlanLayer) {
  const fits = covering.takes.flatMap((kind) => known.filter((each) => each.kind === kind))
  const material = fits.find((each) => covering.prefers === undefined || each[covering.prefers]) ?? fits[0]
  const layers = plan.layers ?? []
  const named = covering.method === "attach" ? {} : { material: material?.id }
  const layer = { ...(given ?? { method: covering.method, ...named }), id: freshId(layers) }
  return withMaterials({ ...plan, layers: [...layers, layer] }, known)
}

type Stage = Declarations["stages"][number] | undefined

interface AddingProps {
  stage: Stage
  offered: Covering[]
  onAdd: (covering: Covering) => void
}

/** A stage with nothing in it teaches in one sentence, and offers what there is. */
function Nothing({ stage, offered, onAdd }: AddingProps) {
  const covers = stage?.key === "cover"
  return (
    <>
      <h2 className="text-xl">{stage?.empty}</h2>
      <p className="py-2 text-quiet">{stage?.teaches}</p>
      {covers && (
        <p className="pb-3">
          <Link className="btn btn-primary" to="../coverings" relative="path">
            See all on this form
          </Link>
        </p>
      )}
      <ul className="flex flex-wrap gap-3">
        {offered.map((covering, i) => (
          <li key={covering.method}>
            <button
              type="button"
              className={!covers && i === offered.length - 1 ? "btn btn-primary" : "btn"}
              onClick={() => onAdd(covering)}
            >
              {covers ? covering.title : `Add: ${covering.title.toLowerCase()}`}
            </button>
          </li>
        ))}
      </ul>
    </>
  )
}

/** One more of a stage: of the covering, asked which; else each by its name. */
function More({ stage, offered, onAdd, onAsk }: AddingProps & { onAsk: () => void }) {
  if (stage?.key !== "cover") {
    return offered.map((covering) => (
      <button key={covering.method} type="button" className="link" onClick={() => onAdd(covering)}>
        Add: {covering.title.toLowerCase()}
      </button>
    ))
  }
  return (
    <button type="button" className="link" onClick={onAsk}>
      {stage.more}
    </button>
  )
}

/** What is chosen instead of another is read from its top. */
function useFromItsTop(chosen: string | undefined) {
  const section = useRef<HTMLElement>(null)
  const before = useRef(chosen)
  useEffect(() => {
    if (before.current === chosen) return
    before.current = chosen
    const { top } = section.current!.getBoundingClientRect()
    if (top < Math.max(section.current!.parentElement!.getBoundingClientRect().top, 0)) {
      section.current!.scrollIntoView({ block: "start" })
    }
  }, [chosen])
  return section
}
