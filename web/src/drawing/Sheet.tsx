import { lazy, memo, useCallback, useId, useRef, useState, type PointerEvent } from "react"
import type { Bare, Material, Plan, WorkedPlan } from "../keep/client"
import { useDeclarations } from "../keep/queries"
import { useQuestion } from "../keep/useQuestion"
import { Covered } from "./Covered"
import { CutThrough } from "./CutThrough"
import { Handles } from "./Handles"
import { Dimensions, Gaps } from "./Dimensions"
import { Loaded } from "../pieces/Loaded"
import { Tabs } from "../pieces/Tabs"
import { SizeField } from "./SizeField"
import { TapeLaid } from "./TapeLaid"
import type { Placing, Sizing } from "./byHand"
import { drawingSays } from "./drawingSays"
import { fractionGlyphs } from "./fractions"
import { pieceAt } from "./pieceAt"
import { Legend } from "./Legend"

/** Loaded when somebody looks at it. */
const BeingMade = lazy(async () => ({ default: (await import("./made/BeingMade")).BeingMade }))

type View = "front" | "back" | "cut" | "made"
const views: { key: View; says: string }[] = [
  { key: "front", says: "Front" },
  { key: "back", says: "Back" },
  { key: "cut", says: "Cut through" },
  { key: "made", says: "Being made" },
]

/** So much room is kept for it before it is there. */
export const ROOM = "min-h-80 max-sm:min-h-[27rem] lg:min-h-0"

/** The drawing on its own paper: to scale, live, with its dimension lines and the gaps that show. */
export const Sheet = memo(function Sheet({
  worked,
  materials,
  sizing,
  plan,
  placing,
  wreath,
}: {
  worked: WorkedPlan
  materials: Material[]
  sizing?: Sizing
  plan?: Plan
  placing?: Placing
  /** Where it is kept: then how it is made can be sent. */
  wreath?: number
}) {
  const [looking, setLooking] = useState(false)
  const bare = useQuestion("/ask/bare", looking && plan?.layers?.length ? plan : undefined).data
  const paper = useRef<HTMLDivElement>(null)
  const panel = useId()
  const [typing, setTyping] = useState<{ about: string; left: number; top: number }>()
  const type = (about: string, place: DOMRect) => {
    const frame = paper.current!.getBoundingClientRect()
    setTyping({
      about,
      left: place.left + place.width / 2 - frame.left,
      top: place.top + place.height / 2 - frame.top,
    })
  }
  const [view, setView] = useState<View>("front")
  const [pointed, setPointed] = useState<number>()
  const [hidden, setHidden] = useState<string[]>([])
  const hide = useCallback(
    (layer: string, away: boolean) =>
      setHidden((before) => (away ? [...before, layer] : before.filter((each) => each !== layer))),
    [],
  )
  const { drawing } = worked
  const onPlane = view === "front" || view === "back"
  const answer = (key: string) => fractionGlyphs(worked.form.working.find((line) => line.key === key)?.answer ?? "")
  return (
    <section
      aria-label="Drawing"
      className={`relative flex flex-col rounded border border-base-300 bg-base-200 ${ROOM}`}
    >
      <div className="flex flex-wrap items-center gap-x-3 px-4 pt-2">
        <Tabs label="Side of the drawing" tabs={views} chosen={view} panel={panel} onChoose={setView} />
        {plan && onPlane && worked.drawing.layers.length > 0 && (
          <label className="ml-auto flex items-center gap-2 text-sm whitespace-nowrap">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={looking}
              onChange={(event) => setLooking(event.target.checked)}
            />
            <span className="min-h-6 leading-6 max-sm:inline-block">
              <span className="max-sm:sr-only">Look for </span>bare places
            </span>
          </label>
        )}
      </div>
      {plan && looking && bare && onPlane && (
        <p role="status" className="px-4 text-sm text-quiet">
          {bareSays(bare)}
        </p>
      )}
      <div
        ref={paper}
        id={panel}
        role="tabpanel"
        aria-label={views.find(({ key }) => key === view)!.says}
        className="relative flex min-h-0 flex-1 p-2 max-sm:block"
      >
        {view === "cut" ? (
          <CutThrough drawing={drawing} girth={answer("girth")} face={answer("face")} />
        ) : view === "made" ? (
          <Loaded>
            <BeingMade worked={worked} materials={materials} wreath={wreath} />
          </Loaded>
        ) : (
          <Plane
            worked={worked}
            materials={materials}
            side={view}
            pointed={pointed}
            hidden={hidden}
            sizing={sizing}
            placing={view === "front" ? placing : undefined}
            gaps={placing?.gaps ?? true}
            onType={type}
            bare={looking && view === "front" ? bare : undefined}
          />
        )}
        {sizing && typing && onPlane && (
          <SizeField
            key={typing.about}
            label={sizing.labels[typing.about] ?? ""}
            said={worked.lengths[typing.about] ?? ""}
            place={typing}
            problem={sizing.problem(typing.about)}
            onSize={(text) => sizing.onSize(typing.about, text)}
            onDone={() => setTyping(undefined)}
          />
        )}
        {onPlane && (
          <Legend worked={worked} materials={materials} hidden={hidden} onPoint={setPointed} onHide={hide} />
        )}
      </div>
    </section>
  )
})

interface PlaneProps {
  worked: WorkedPlan
  materials: Material[]
  side: "front" | "back"
  pointed?: number
  hidden: string[]
  sizing?: Sizing
  placing?: Placing
  gaps: boolean
  onType: (about: string, place: DOMRect) => void
  bare?: Bare
}

function Plane({ worked, materials, side, pointed, hidden, sizing, placing, gaps, onType, bare }: PlaneProps) {
  const { drawing } = worked
  const [left = 0, top = 0, right = 1, bottom = 1] = drawing.bounds
  const letter =
    Math.max(right - left, bottom - top) * (window.matchMedia("(max-width: 40rem)").matches ? 0.05 : 0.034)
  // Room for what stands beside it: a dimension on the left, what gapes on the right.
  const upright = drawing.dimensions.some(({ from, to, across }) => !across && from[0] === to[0])
  const [before, behind] = [upright ? letter * 6.5 : letter * 1.2, gaps ? letter * 6.5 : letter * 1.2]
  const box = [left - before, top - letter * 1.2, right - left + before + behind, bottom - top + letter * 4.4]
  const says = drawingSays(worked, materials, side)
  const looks = useDeclarations().data?.lies
  const [piece, setPiece] = useState("")
  const point = ({ clientX, clientY, currentTarget, pointerType, buttons }: PointerEvent<SVGSVGElement>) => {
    // A hand that holds something looks for nothing else.
    if (buttons !== 0) return setPiece("")
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(currentTarget.getScreenCTM()!.inverse())
    const found =
      pointerType === "mouse" && looks && pieceAt(drawing.layers, looks, side, hidden, [side === "back" ? -x : x, y])
    setPiece(found ? `${found.lie.what}: ${found.number} of ${found.lie[side].length}` : "")
  }
  return (
    <>
      <svg
        viewBox={box.join(" ")}
        className="own-layer h-full w-full min-w-0 flex-1 max-sm:h-80"
        onPointerMove={point}
        onPointerLeave={() => setPiece("")}
        role={sizing || placing?.spots.length ? "group" : "img"}
        aria-label={says}
      >
        <Covered drawing={drawing} materials={materials} side={side} pointed={pointed} hidden={hidden} />
        {sizing?.measuring && (
          <TapeLaid drawing={drawing} place={sizing.measuring} letter={letter} mirrored={side === "back"} />
        )}
        <Dimensions drawing={drawing} letter={letter} sizing={sizing} onType={onType} mirrored={side === "back"} />
        {bare && (
          <g fill="var(--color-error)" aria-hidden="true" className="bare-places">
            {bare.patches.map(([x, y], index) => (
              <circle key={index} cx={x} cy={y} r={letter * 0.13} />
            ))}
          </g>
        )}
        {gaps && <Gaps drawing={drawing} letter={letter} mirrored={side === "back"} />}
        {placing && <Handles drawing={drawing} letter={letter} placing={placing} />}
      </svg>
      {piece && (
        <p
          className="pointer-events-none absolute bottom-2 left-4 rounded bg-base-200 px-2 text-sm text-quiet"
          aria-hidden="true"
        >
          {piece}
        </p>
      )}
    </>
  )
}

/** How much of the form shows, in words: where, and how much. */
function bareSays(bare: Bare): string {
  const share = (covered: number) => `${Math.round((1 - covered) * 100)} %`
  if (bare.front > 0.995 && bare.back > 0.995) return "Nothing shows: the form is covered, front and back."
  const edges = [
    ["inside", bare.inside],
    ["middle", bare.middle],
    ["outside", bare.outside],
  ] as const
  const worst = edges.reduce((most, each) => (each[1] < most[1] ? each : most))
  const sides = `${share(bare.front)} of the front and ${share(bare.back)} of the back`
  return `The form shows on ${sides}, most along the ${worst[0]} (${share(worst[1])}).`
}
