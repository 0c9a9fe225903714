import { useQueryClient } from "@tanstack/react-query"
import { useMemo, useState } from "react"
import {
  api,
  problemsOf,
  Refusal,
  type KeptPlace,
  type OnDoor,
  type Place,
  type Plan,
  type WorkedPlan,
} from "../keep/client"
import { askAgain, touched } from "../keep/keys"
import { useIsMaker } from "../keep/queries"
import { useQuestion } from "../keep/useQuestion"
import { Fetching } from "../pieces/Fetching"
import { Fold } from "../pieces/Fold"
import { ForMakers } from "../pieces/ForMakers"
import { OpenChoice } from "../pieces/OpenChoice"
import { Problem } from "../pieces/Problem"
import { Prose } from "../pieces/Prose"
import { Select } from "../pieces/Select"
import { savingSays } from "../pieces/savingSays"
import { freshId } from "../wreath/layers"
import { useKnownMaterials } from "../wreath/useKnownMaterials"
import { HungOnDoor, type Pixel } from "./HungOnDoor"
import { Asked, NewPlace } from "./NewPlace"
import { SideBySide, withLayers } from "./SideBySide"
import { useHanging, useLastPlace, usePlace, usePlaces } from "./usePlace"

interface Props {
  id: number
  plan: Plan
  worked: WorkedPlan
  onChange: (plan: Plan) => void
}

/** The wreath on the maker's own door. */
export function DoorView(props: Props) {
  const places = usePlaces().data
  const [last, setLast] = useLastPlace()
  const [adding, setAdding] = useState(false)
  const [hanging, hang] = useHanging(props.id)
  const queries = useQueryClient()
  if (!places || !hanging) return <Fetching what="Doors" />
  const chosen = [hanging.place, last].flatMap((at) => places.find(({ id }) => id === at) ?? [])[0] ?? places[0]
  if (!chosen || adding) {
    return (
      <NewPlace
        units={props.plan.units}
        before={places.length}
        onKept={(place) => {
          setLast(place.id)
          hang(place.id)
          setAdding(false)
          void askAgain(queries, touched.places)
        }}
        onClose={chosen && (() => setAdding(false))}
      />
    )
  }
  return (
    <OneDoor
      key={chosen.id}
      {...props}
      {...{ places, chosen }}
      at={hanging.place === chosen.id ? (hanging.at as Pixel | null) : null}
      onAt={(at) => hang(chosen.id, at)}
      onChoose={(id) => {
        setLast(id)
        hang(id)
      }}
      onAdd={() => setAdding(true)}
    />
  )
}

interface OneDoorProps extends Props {
  places: KeptPlace[]
  chosen: KeptPlace
  /** Where on it the wreath hangs, if that was said. */
  at: Pixel | null
  onAt: (at?: Pixel) => void
  onChoose: (id: number) => void
  onAdd: () => void
}

const SIDES = [
  { value: "front", says: "From outside" },
  { value: "back", says: "From behind" },
]

function OneDoor({ id, plan, worked, onChange, places, chosen, at: kept, onAt, onChoose, onAdd }: OneDoorProps) {
  const { said, change, saving } = usePlace(chosen.id)
  const place = said?.place ?? chosen.place
  // Where it hangs is at once as it was said, whether it is kept yet or not.
  const [at, setPlace] = useState(kept ?? undefined)
  const setAt = (next?: Pixel) => {
    setPlace(next)
    onAt(next)
  }
  const [side, setSide] = useState("front")
  const back = side === "back"
  const asked = useMemo(() => ({ plan, place, at, back }), [plan, place, at, back])
  const { data: hung, error } = useQuestion("/ask/on-door", asked)
  const known = useKnownMaterials(plan)
  const problems = error instanceof Refusal ? error.problems : error ? problemsOf(error) : []
  const query = [`place=${chosen.id}`, ...(at ? [`x=${at[0]}`, `y=${at[1]}`] : []), ...(back ? ["back=yes"] : [])]
  return (
    <>
      <div className="grid min-h-0 flex-1 gap-6 px-4 pb-3 sm:px-6 lg:grid-cols-[minmax(0,10fr)_minmax(0,9fr)]">
        <section aria-label="On the door" className="relative flex min-h-0 flex-col rounded bg-base-200">
          {hung ? (
            <HungOnDoor {...{ hung, place, worked, back, at }} materials={plan.materials ?? []} onAt={setAt} />
          ) : (
            problems.length === 0 && <Fetching what="Door" />
          )}
          <p className="absolute bottom-3 left-3 rounded bg-base-200">
            <OpenChoice label="Seen" name="seen-from" value={side} choices={SIDES} onChange={setSide} />
          </p>
        </section>
        <div className="min-h-0 lg:overflow-y-auto lg:pr-2" tabIndex={0} role="region" aria-label="The place">
          <div className="flex flex-wrap items-center gap-3 border-b border-base-300 pb-2">
            <Select
              id="which-door"
              label="The place"
              value={String(chosen.id)}
              choices={places.map((each) => ({ value: String(each.id), says: each.name }))}
              onChange={(value) => value && onChoose(Number(value))}
            />
            <ForMakers quiet>
              <button type="button" className="btn" onClick={onAdd}>
                Another place
              </button>
            </ForMakers>
            <a className="btn btn-primary" href={`/api/wreaths/${id}/on-place.jpg?${query.join("&")}`} download>
              Send the picture
            </a>
            {hung && (
              <p className="text-sm text-quiet">
                <Prose>{measuredSays(place, hung)}</Prose>
              </p>
            )}
          </div>
          {problems.map(({ at: where, says }) => (
            <Problem key={says} className="pt-2">
              <Prose>{says}</Prose>{" "}
              {where === "at" && (
                <button type="button" className="link" onClick={() => setAt(undefined)}>
                  Hang it where wreaths usually hang
                </button>
              )}
            </Problem>
          ))}
          {hung && (
            <Friend says={hung.says} onTake={(judgement) => onChange(withJudgement(plan, judgement, known))} />
          )}
          {hung && <SideBySide {...{ hung, plan, place, worked, known, at }} onTake={onChange} />}
          <ForMakers quiet>
            {said && (
              <About
                place={said.place}
                name={said.name}
                saving={savingSays[saving]}
                problems={problems}
                onChange={(name, next) => change({ name, place: next })}
              />
            )}
            <LetGo place={chosen} />
          </ForMakers>
        </div>
      </div>
      {hung && <DoorTape hung={hung} />}
    </>
  )
}

function measuredSays(place: Place, { door }: OnDoor): string {
  const by = place.corners ? "Measured by the sheet" : place.photo ? "Measured by its width" : "Drawn"
  return door ? `${by}: this door is ${door.says}, ${door.sure}.` : `${by}.`
}

type Judgement = OnDoor["says"][number]

/** What would do, done. */
function withJudgement(plan: Plan, { form, layers, add }: Judgement, known: Parameters<typeof withLayers>[2]): Plan {
  if (form) return { ...plan, form }
  if (layers) return withLayers(plan, layers, known)
  const all = plan.layers ?? []
  return { ...plan, layers: [...all, { id: freshId(all), ...add }] } as Plan
}

/** What a friend says who sees it there. */
function Friend({ says, onTake }: { says: Judgement[]; onTake: (judgement: Judgement) => void }) {
  const maker = useIsMaker()
  return (
    <ul aria-label="What a friend says" className="flex flex-col gap-2 py-2">
      {says.map((each) => (
        <li key={each.code} className={`border-l-4 pl-3 ${each.well ? "border-secondary" : "border-primary"}`}>
          <Prose>{each.says}</Prose>
          {each.more && (
            <span className="block text-sm text-quiet">
              <Prose>{each.more}</Prose>
            </span>
          )}
          {maker && each.do && (
            <button type="button" className="btn btn-sm my-1" onClick={() => onTake(each)}>
              <Prose>{each.do}</Prose>
            </button>
          )}
        </li>
      ))}
    </ul>
  )
}

interface AboutProps {
  place: Place
  name: string
  saving: string
  problems: { at: string; says: string }[]
  onChange: (name: string, place: Place) => void
}

/** What is known of the door beside its photo. */
function About({ place, name, saving, problems, onChange }: AboutProps) {
  const names = ["wide", ...(place.photo ? [] : ["tall"]), "paint", "light", "glass", "gap", "holds"]
  const change = (field: string, value: unknown) => {
    const { [field]: _, ...rest } = place
    onChange(name, value === undefined ? (rest as Place) : ({ ...rest, [field]: value } as Place))
  }
  return (
    <Fold summary="About this place">
      <label className="flex items-center justify-between gap-3 border-b border-base-300 py-1">
        Name
        <input
          className="input w-56"
          value={name}
          maxLength={120}
          onChange={(event) => onChange(event.target.value, place)}
        />
      </label>
      <Asked names={names} said={place} problems={problems} onChange={change} />
      <p role="status" className="text-sm text-quiet">
        {saving}
      </p>
    </Fold>
  )
}

/** A place that nobody needs any more. */
function LetGo({ place }: { place: KeptPlace }) {
  const queries = useQueryClient()
  const [sure, setSure] = useState(false)
  const letGo = async () => {
    const params = { path: { id: place.id }, query: { version: place.version } }
    await api.DELETE("/places/{id}", { params })
    await askAgain(queries, touched.places)
  }
  return (
    <p className="py-1 text-sm">
      {sure ? (
        <>
          Its photo goes with it.{" "}
          <button type="button" className="link" onClick={() => void letGo()}>
            Let it go
          </button>{" "}
          <button type="button" className="link" onClick={() => setSure(false)}>
            Keep it
          </button>
        </>
      ) : (
        <button type="button" className="link" onClick={() => setSure(true)}>
          Let go of this place…
        </button>
      )}
    </p>
  )
}

/** How large it is there, how deep, and what it comes to. */
function DoorTape({ hung }: { hung: OnDoor }) {
  return (
    <footer aria-label="The tape" className="the-tape no-print own-layer">
      <ul className="flex overflow-x-auto px-4 pt-4 pb-2 sm:px-6">
        {hung.tape.map(({ figure, says }) => (
          <li key={says} className="min-w-24 grow border-l border-base-content/35 px-3 first:border-l-0">
            <span className="block font-display text-xl font-bold">
              <Prose>{figure}</Prose>
            </span>
            <span className="text-sm">
              <Prose>{says}</Prose>
            </span>
          </li>
        ))}
      </ul>
    </footer>
  )
}
