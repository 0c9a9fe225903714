import { Fragment, lazy, memo, useDeferredValue, useEffect, useMemo, useState, type ComponentType } from "react"
import { Link, useParams } from "react-router"
import { ROOM, Sheet } from "../drawing/Sheet"
import type { Declarations, Material, Plan, Problem as Said, Units, WorkedPlan } from "../keep/client"
import { useAsBefore } from "../keep/useAsBefore"
import { atLeisure } from "../keep/atLeisure"
import { turned } from "../keep/turned"
import { useDeclarations, useIsMaker, useWholeWork } from "../keep/queries"
import { ChangedElsewhere } from "../pieces/ChangedElsewhere"
import { Conflict } from "../pieces/Conflict"
import { Fetching } from "../pieces/Fetching"
import { Loaded } from "../pieces/Loaded"
import { ForMakers } from "../pieces/ForMakers"
import { OpenChoice } from "../pieces/OpenChoice"
import { MEASURES, Page } from "../pieces/Page"
import { Prose } from "../pieces/Prose"
import { Remark } from "../pieces/Remark"
import { Cord } from "./Cord"
import { CoverStage } from "./CoverStage"
import { NameLine } from "./NameLine"
import { endsOf, placingOf, sizingOf } from "./onDrawing"
import type { StageProps } from "./stageProps"
import { BareTape, Tape } from "./Tape"
import { TrimStage } from "./TrimStage"
import { useUndoKey } from "./useUndoKey"
import { useWreath } from "./useWreath"
import { Problem } from "../pieces/Problem"
import { stateOf } from "../wreaths/listing"

// The stages that a wreath is not opened on: loaded beforehand as soon as there is leisure for it.
const loadForm = async () => ({ default: (await import("./FormStage")).FormStage })
const loadHang = async () => ({ default: (await import("./HangStage")).HangStage })
const loadCut = async () => ({ default: (await import("./CutStage")).CutStage })
const loadBuy = async () => ({ default: (await import("./BuyStage")).BuyStage })
/** One after the other, each when there is leisure. What cannot be loaded says so when it is gone to. */
const loadStages = () =>
  [loadForm, loadHang, loadCut, loadBuy].forEach((load, i) =>
    atLeisure(`stage ${i}`, () => void load().catch(() => undefined)),
  )

const PracticeView = lazy(async () => ({ default: (await import("../practice/PracticeView")).PracticeView }))
const DoorView = lazy(async () => ({ default: (await import("../door/DoorView")).DoorView }))
const CoveringsView = lazy(async () => ({ default: (await import("../coverings/CoveringsView")).CoveringsView }))

/** The same list each time, so that nothing is drawn anew for it. */
const NONE: Material[] = []
const NO_PROBLEMS: Said[] = []

type Wreath = ReturnType<typeof useWreath>

const stageScreens: Record<string, ComponentType<StageProps>> = {
  form: lazy(loadForm),
  cover: CoverStage,
  trim: TrimStage,
  hang: lazy(loadHang),
  cut: lazy(loadCut),
  buy: lazy(loadBuy),
}

/** One wreath: the drawing and the tape stay put while the stages change. */
export function WreathScreen() {
  const { id, stage = "cover" } = useParams()
  return <OneWreath key={id} id={Number(id)} stage={stage} />
}

function OneWreath({ id, stage }: { id: number; stage: string }) {
  const wreath = useWreath(id)
  const declarations = useDeclarations().data
  useEffect(loadStages, [])
  useUndoKey(wreath.past)
  if (wreath.missing) return <Missing />
  if (!wreath.plan || !declarations) return <Fetching what="Wreath" />
  return <Open id={id} stage={stage} wreath={wreath} plan={wreath.plan} declarations={declarations} />
}

interface OpenProps {
  id: number
  stage: string
  wreath: Wreath
  plan: Plan
  declarations: Declarations
}

function Open({ id, stage, wreath, plan, declarations }: OpenProps) {
  const { data: work, error: unworked } = useWholeWork(plan, id)
  const worked = useAsBefore(work?.worked)
  const problems = work?.problems.length ? work.problems : NO_PROBLEMS
  const maker = useIsMaker()
  const changeUnits = async (units: Units) => wreath.change(await turned(() => wreath.now() ?? plan, units))
  const about = { plan, declarations, worked, problems, unworked: unworked?.message }
  const parts = { id, stage, wreath, onUnits: changeUnits, ...about }
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <Page
        title={plan.name ?? "Wreath"}
        units={plan.units}
        onUnits={maker ? (units) => void changeUnits(units) : undefined}
      >
        <main className="flex min-h-0 flex-1 flex-col">
          {wreath.conflict && <Conflict what="wreath" differences={wreath.conflict} onSettle={wreath.settle} />}
          <ChangedElsewhere what="wreath" changed={wreath.elsewhere} onClose={wreath.dismiss} />
          {wreath.remark && <Remark says={wreath.remark} onClose={wreath.dismiss} />}
          <ForMakers quiet>
            <NameLine
              id={id}
              plan={plan}
              saving={wreath.saving}
              problems={problems}
              onChange={wreath.change}
              past={wreath.past}
              state={worked && problems.length === 0 ? stateNow(wreath.bench, worked) : undefined}
            />
          </ForMakers>
          <Cord
            stages={declarations.stages}
            current={["coverings", "practice"].includes(stage) ? "cover" : stage}
            settled={problems.length > 0 ? undefined : worked?.stages}
            made={wreath.bench.made > 0}
          />
          {stage === "door" && worked ? (
            <Loaded fallback={<p className="p-6 text-quiet">Going to the door…</p>}>
              <DoorView id={id} plan={plan} worked={worked} onChange={wreath.change} />
            </Loaded>
          ) : stage === "practice" && worked ? (
            <Loaded fallback={<p className="p-6 text-quiet">Laying out the practice…</p>}>
              <PracticeView plan={plan} worked={worked} declarations={declarations} onChange={wreath.change} />
            </Loaded>
          ) : stage === "coverings" && maker ? (
            <Loaded fallback={<p className="p-6 text-quiet">Working out every covering…</p>}>
              <CoveringsView plan={plan} onChoose={wreath.change} />
            </Loaded>
          ) : (
            <Workplace {...parts} />
          )}
        </main>
        {stage !== "door" && (worked ? <Tape worked={worked} stale={problems.length > 0} /> : <BareTape />)}
      </Page>
    </div>
  )
}

/** How far a wreath is, as the list says it; nothing while there is nothing to make. */
function stateNow(bench: Wreath["bench"], { cost, materials }: WorkedPlan): string | undefined {
  if (!materials.some(({ needed }) => needed > 0)) return undefined
  const short = materials.some((material) => material.short > 0)
  return stateOf({ ...bench, summary: { to_buy: cost.to_buy, short } })
}

interface WorkplaceProps extends OpenProps {
  worked?: WorkedPlan
  problems: Said[]
  /** Why nothing was worked out at all: nobody answered. */
  unworked?: string
  onUnits: (units: Units) => Promise<void>
}

/** The drawing, and beside it the stage that the maker is at. */
function Workplace({ id, stage, wreath, plan, declarations, worked, problems, unworked, onUnits }: WorkplaceProps) {
  const [measuring, setMeasuring] = useState<string>()
  const [atHand, setAtHand] = useState<string>()
  const maker = useIsMaker()
  // The drawing and the tape are what is looked at while something is typed: what a stage says comes after them.
  const said = useDeferredValue(worked)
  const { change } = wreath
  const shape = plan.form.shape
  const sizing = useMemo(
    () => (stage === "form" && maker ? sizingOf(shape, declarations, change, problems, measuring) : undefined),
    [stage, maker, shape, declarations, change, problems, measuring],
  )
  const placing = useMemo(() => {
    if (!maker) return undefined
    const about = { plan, declarations, onChange: change }
    if (stage === "cover") return endsOf(about, worked)
    return stage === "trim" || stage === "hang" ? placingOf(about, worked, atHand) : undefined
  }, [maker, stage, plan, declarations, change, worked, atHand])
  const loose = problems.filter((problem) => !/^(form|layers)\./.test(problem.at))
  return (
    <div className="grid min-h-0 flex-1 gap-6 px-4 pb-3 sm:px-6 lg:grid-cols-[minmax(0,10fr)_minmax(0,9fr)]">
      {worked ? (
        <Sheet
          worked={worked}
          materials={plan.materials ?? NONE}
          sizing={sizing}
          plan={stage === "cover" && problems.length === 0 ? plan : undefined}
          placing={placing}
          wreath={id}
        />
      ) : (
        <div className={`rounded border border-base-300 bg-base-200 p-6 text-quiet ${ROOM}`}>
          {problems.length > 0 ? "The drawing comes when the sizes can be." : "Drawing the form…"}
        </div>
      )}
      <div className="own-layer min-h-0 lg:overflow-y-auto lg:pr-2" tabIndex={0} role="region" aria-label="Stage">
        {unworked && <Problem className="border-l-4 border-error pl-3">{unworked}</Problem>}
        {loose.length > 0 && (
          <ul className="border-l-4 border-error pl-3">
            {loose.map((problem) => (
              <li key={problem.at + problem.says} className="font-semibold text-error">
                <Prose>{problem.says}</Prose>
              </li>
            ))}
          </ul>
        )}
        {problems.length > 0 && worked && (
          <p className="text-sm text-quiet">The drawing and the tape show the last plan that could be worked.</p>
        )}
        {stage === "form" && maker && (
          // On a phone the head of the page has no room for it.
          <p className="pb-2 sm:hidden">
            <OpenChoice
              label="Units of this wreath"
              name="units-of-wreath"
              value={plan.units}
              choices={MEASURES}
              onChange={(units) => void onUnits(units as Units)}
            />
          </p>
        )}
        <Stage
          stage={stage}
          plan={plan}
          worked={said}
          problems={problems}
          declarations={declarations}
          onChange={change}
          onMeasure={setMeasuring}
          onAtHand={setAtHand}
          id={id}
          bench={wreath.bench}
          onTick={wreath.tick}
          onStash={wreath.settleStash}
          bought={wreath.bought}
          onBuy={wreath.buy}
          refused={wreath.refused}
        />
      </div>
    </div>
  )
}

const Stage = memo(function Stage({ stage, ...props }: StageProps & { stage: string }) {
  const Screen = stageScreens[stage] ?? CoverStage
  // Ticking cuts is for everybody.
  const For = stage === "cut" ? Fragment : ForMakers
  return (
    <Loaded>
      <For>
        <Screen {...props} />
      </For>
    </Loaded>
  )
})

function Missing() {
  return (
    <Page title="Not found" units="in" onUnits={() => {}}>
      <main className="p-6">
        <h1 className="text-2xl">This wreath is not here</h1>
        <p>
          It may have been deleted.{" "}
          <Link className="underline" to="/">
            All wreaths
          </Link>
        </p>
      </main>
    </Page>
  )
}
