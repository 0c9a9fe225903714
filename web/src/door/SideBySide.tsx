import { useMemo } from "react"
import type { Material, OnDoor, Place, Plan, WorkedPlan } from "../keep/client"
import { useWork } from "../keep/queries"
import { useQuestion } from "../keep/useQuestion"
import { money } from "../pieces/money"
import { Prose } from "../pieces/Prose"
import { withMaterials } from "../wreath/layers"
import { put } from "../wreath/places"
import { TheDoor, Wreath, type Pixel } from "./HungOnDoor"
import { extentOf } from "./matrix3d"

interface Props {
  hung: OnDoor
  plan: Plan
  place: Place
  worked: WorkedPlan
  known: Material[]
  at?: Pixel
  onTake: (plan: Plan) => void
}

/** Pixels across one of them; how much of the door it shows, of what the wreath has. */
const WIDE = 132
const ROUND = 1.9

/** The same wreath larger, smaller and in other colours, in its place, with what it comes to. */
export function SideBySide({ hung, plan, place, worked, known, at, onTake }: Props) {
  const others = [
    ...hung.sizes.map(({ says, form }) => ({ says, plan: { ...plan, form } as Plan })),
    ...hung.colours.map(({ says, layers }) => ({ says, plan: withLayers(plan, layers, known) })),
  ]
  const side = extentOf(hung.corners) * ROUND
  const planned = { says: "as planned", hung, worked, plan, place, side }
  if (others.length === 0) return null
  return (
    <section aria-label="Side by side">
      <h2 className="pt-3 text-lg">Side by side</h2>
      <ul className="flex flex-wrap gap-3 py-1">
        <li className="w-33">
          <div className="rounded outline-3 outline-offset-2 outline-primary">
            <Look {...planned} />
          </div>
          <p className="pt-1 text-center text-sm">
            <b>
              <Prose>{hung.tape[0]?.figure ?? ""}</Prose>
            </b>
            <span className="block text-quiet">as planned</span>
          </p>
        </li>
        {others.map((other) => (
          <Other key={other.says} {...{ ...other, place, at, worked, side }} onTake={() => onTake(other.plan)} />
        ))}
      </ul>
    </section>
  )
}

/** A plan with options of its layers changed, and the materials that they name. */
export const withLayers = (plan: Plan, changes: Record<string, Record<string, unknown>>, known: Material[]): Plan =>
  withMaterials(
    Object.entries(changes).reduce((next, [id, options]) => {
      const layer = `layers.${next.layers?.findIndex((each) => each.id === id) ?? 0}`
      return Object.entries(options).reduce((each, [name, value]) => put(each, `${layer}.${name}`, value), next)
    }, plan),
    known,
  )

interface OtherProps {
  says: string
  plan: Plan
  place: Place
  at?: Pixel
  /** The wreath as it is planned. */
  worked: WorkedPlan
  side: number
  onTake: () => void
}

function Other({ says, plan, place, at, worked: planned, side, onTake }: OtherProps) {
  // The same object while it says the same, so that it is asked about once.
  const text = JSON.stringify({ plan, place, at })
  const asked = useMemo(() => JSON.parse(text) as { plan: Plan; place: Place; at?: Pixel }, [text])
  const worked = useWork(asked.plan).data?.worked
  const hung = useQuestion("/ask/on-door", asked).data
  const short = hung?.says.find(({ code }) => code === "size")?.short
  const more = worked && Number(worked.cost.to_buy) - Number(planned.cost.to_buy)
  return (
    <li className="w-33">
      <button type="button" className="cursor-pointer text-sm" onClick={onTake}>
        {hung && worked ? (
          <Look {...{ hung, worked, plan: asked.plan, place, side }} />
        ) : (
          <span className="block h-33 w-33 rounded bg-base-300" />
        )}
        <span className="block pt-1">
          <span className="sr-only">Take it: </span>
          <Prose>{says}</Prose>
          <span className="block text-quiet">
            {[short, more === undefined ? undefined : moreSays(more)].filter(Boolean).join(", ")}
          </span>
        </span>
      </button>
    </li>
  )
}

/** What it costs more or less than as planned. */
const moreSays = (more: number) =>
  Math.abs(more) < 0.005
    ? "as much to pay"
    : `${money(Math.abs(more).toFixed(2))} ${more > 0 ? "more" : "less"} to pay`

interface LookProps {
  hung: OnDoor
  worked: WorkedPlan
  plan: Plan
  place: Place
  /** Pixels of the picture across what is shown. */
  side: number
}

/** A part of the door with a wreath on it. */
function Look({ hung, worked, plan, place, side }: LookProps) {
  const scale = WIDE / side
  const [width = 1, height = 1] = hung.size
  const [x = 0, y = 0] = [0, 1].map((i) => {
    const all = hung.corners.map((corner) => corner[i] ?? 0)
    return ((Math.min(...all) + Math.max(...all)) / 2 - side / 2) * scale
  })
  return (
    <span className="relative block h-33 w-33 overflow-hidden rounded bg-base-300" aria-hidden="true">
      <span className="absolute block" style={{ left: -x, top: -y, width: width * scale, height: height * scale }}>
        <TheDoor hung={hung} place={place} />
        <Wreath {...{ hung, worked, scale }} materials={plan.materials ?? []} back={false} />
      </span>
    </span>
  )
}
