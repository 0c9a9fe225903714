import { useState } from "react"
import { Link, useSearchParams } from "react-router"
import { saysOf, type ChangePlan, type Declarations, type Plan, type Step, type WorkedPlan } from "../keep/client"
import { useQuestion } from "../keep/useQuestion"
import { MoveFrames } from "../moves/MoveFrames"
import { FieldControl } from "../pieces/FieldControl"
import { OnlyMakers } from "../pieces/ForMakers"
import { Problem } from "../pieces/Problem"
import { Prose } from "../pieces/Prose"
import { Timed } from "./Timed"
import { triedOf, useTried } from "./useTried"

/** So many are made to see how the hands go. */
const SOME = 5

interface Props {
  plan: Plan
  worked: WorkedPlan
  declarations: Declarations
  onChange: ChangePlan
}

/** A move by itself, on the maker's own material: how it goes, five against the clock, and what to measure. */
export function PracticeView(props: Props) {
  const [asked] = useSearchParams()
  const layer = props.plan.layers?.find(({ id }) => id === asked.get("layer"))
  const steps = props.worked.steps.filter((step) => step.layer === layer?.id)
  const counted = steps.filter(({ count }) => count !== undefined)
  const step = (counted.length > 0 ? counted : steps).reduce<Step | undefined>(
    (longest, each) => (longest && longest.minutes >= each.minutes ? longest : each),
    undefined,
  )
  if (!layer || !step) {
    return (
      <p className="p-6">
        Nothing of this wreath is practised here.{" "}
        <Link className="link" relative="path" to="../cover">
          Back to the plan
        </Link>
      </p>
    )
  }
  return <Practised key={layer.id} {...props} layer={layer} step={step} />
}

type Layer = NonNullable<Plan["layers"]>[number]

/** The plan as it is now, but for what was practised: that is as another one has it. */
function asIn(now: Plan, other: Plan, { id }: Layer): Plan {
  const found = other.layers?.find((each) => each.id === id)
  return {
    ...now,
    layers: now.layers?.map((each) => (each.id === id ? { ...each, test_piece: found?.test_piece } : each)),
    paces: other.paces,
  }
}

function Practised({ plan, declarations, onChange, layer, step }: Props & { layer: Layer; step: Step }) {
  const covering = declarations.coverings.find(({ method }) => method === layer.method)
  const measured = covering?.options.find(({ name }) => name === "test_piece")?.fields ?? []
  const before = triedOf(plan, layer)
  const [piece, setPiece] = useState(() => (layer.test_piece ?? before?.test_piece ?? {}) as Record<string, unknown>)
  const [seconds, setSeconds] = useState<number | undefined>(before?.seconds)
  const found = { layer: layer.id ?? "", test_piece: piece, ...(seconds ? { seconds } : {}) }
  const [was, setWas] = useState<Plan>()
  const anything = Object.keys(piece).length > 0 || seconds !== undefined
  const { data, error, isPlaceholderData } = useQuestion(
    "/ask/practice",
    anything ? { plan: was ?? plan, ...found } : undefined,
  )
  const { keep, failed } = useTried(plan, layer, onChange)
  const problems = error && anything ? saysOf(error) : ""
  const take = () => {
    if (!data) return
    setWas(plan)
    onChange((now) => asIn(now, data.plan as Plan, layer))
    keep(data.tried)
  }
  const back = () => {
    if (was) onChange((now) => asIn(now, was, layer))
    setWas(undefined)
  }
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 py-3 sm:px-6">
      <div className="mx-auto grid max-w-6xl gap-x-8 gap-y-4 lg:grid-cols-2">
        <section aria-label="How it goes">
          <h2 className="text-2xl">Practise: {step.title}</h2>
          <p className="pb-2 text-quiet">On a piece of your own material, before you cut them all.</p>
          <MoveFrames step={step} materials={plan.materials ?? []} />
          <p className="text-lg">
            <b>Look:</b> <Prose>{step.look}</Prose>
          </p>
        </section>
        <section aria-label="What you find">
          <Timed
            some={step.count === undefined ? 1 : SOME}
            one={step.unit_one ?? covering?.title.toLowerCase() ?? "one"}
            many={step.unit ?? ""}
            onSeconds={setSeconds}
          />
          {seconds !== undefined && (
            <p className="py-2">
              {Math.round(seconds)} seconds for one.{" "}
              <button type="button" className="link" onClick={() => setSeconds(undefined)}>
                Leave the time out
              </button>
            </p>
          )}
          {measured.length > 0 && <h3 className="pt-3 text-lg">What to measure</h3>}
          {measured.map((field) => (
            <FieldControl
              key={field.name}
              field={field}
              place={`test_piece.${field.name}`}
              value={piece[field.name]}
              onChange={(value) =>
                setPiece((now) =>
                  Object.fromEntries(
                    Object.entries({ ...now, [field.name]: value }).filter(([, v]) => v !== undefined),
                  ),
                )
              }
            />
          ))}
          {problems && <Problem>{problems}</Problem>}
          {data && !problems && (
            <ul className="border-l-4 border-secondary py-1 pl-3 text-lg" aria-label="What it changes">
              {data.says.map((says) => (
                <li key={says}>
                  <Prose>{says}</Prose>
                </li>
              ))}
            </ul>
          )}
          <p className="flex flex-wrap gap-3 pt-4">
            <OnlyMakers>
              {was ? (
                <>
                  <span className="self-center font-semibold text-secondary">Taken up in this wreath.</span>
                  <button type="button" className="btn" onClick={back}>
                    Take it back
                  </button>
                </>
              ) : (
                <button
                  type="button"
                  className="btn btn-primary"
                  disabled={!data || isPlaceholderData || problems !== ""}
                  onClick={take}
                >
                  Take it up in this wreath
                </button>
              )}
            </OnlyMakers>
            <Link className="btn" relative="path" to={`../${covering?.stage ?? "cover"}`}>
              Back to the plan
            </Link>
          </p>
          {failed && <Problem>{failed}</Problem>}
          <p className="pt-2 text-quiet">
            What you take up stays with the material, and is offered where another wreath uses it.
          </p>
        </section>
      </div>
    </div>
  )
}
