import { useRef } from "react"
import type { Drawing } from "../keep/client"
import { fractionGlyphs } from "./fractions"
import type { Place, Placing, Point, Scale, Spot } from "./byHand"
import { measuredOf, outFrom } from "./outFrom"
import { useCarried } from "./useCarried"

interface HandlesProps {
  drawing: Drawing
  letter: number
  placing: Placing
}

/**
 * A handle on everything that has its place on the form: dragged along it, or moved with the arrow keys, half an hour
 * or half an inch at a time.
 */
export function Handles({ drawing, letter, placing }: HandlesProps) {
  const [left = 0, top = 0, right = 1, bottom = 1] = drawing.outline_bounds
  const middle: Point = [(left + right) / 2, (top + bottom) / 2]
  const scaleOf = (spot: Spot): Scale | undefined => {
    if (spot.measure) {
      const measured = measuredOf(drawing, spot.layer, spot.measure)
      return measured && outFrom(...measured, Number(spot.at), spot.measure)
    }
    if (spot.along) return alongPath(drawing.form.middle)
    return byClock(middle, spot.middle && drawing.form.closed ? (bottom - top) * IN_THE_MIDDLE : 0)
  }
  return placing.spots.map((spot) => {
    const scale = scaleOf(spot)
    const where = (spot.at !== "middle" && scale?.point(spot.at)) || spotOf(drawing, spot)
    return (
      scale &&
      where && (
        <Handle
          key={`${spot.layer}.${spot.option}`}
          where={where}
          scale={scale}
          letter={letter}
          spot={spot}
          onPlace={(at) => placing.onPlace(spot.layer, spot.option, at)}
        />
      )
    )
  })
}

/** "6 o’clock", "half past 10", as the steps say it. */
function hourSays(hour: number): string {
  const whole = Math.floor(hour) || 12
  return hour % 1 === 0.5 ? `half past ${whole}` : `${hour % 1 === 0 ? whole : hour} o’clock`
}

/** As near to the middle, as a share of the form’s height, a thing that is dragged there hangs in the opening. */
const IN_THE_MIDDLE = 0.14

const byClock = ([x0, y0]: Point, reach: number): Scale => ({
  most: 12,
  point: () => undefined,
  at: (x, y) => (Math.hypot(x - x0, y - y0) < reach ? "middle" : clockOf(x - x0, y - y0)),
  moved: (at, by) => (at + by + 12) % 12,
  says: (at) => (at === "middle" ? "in the middle" : hourSays(Number(at))),
})

/** An open form is measured along its middle, from its start. */
function alongPath(middle: string): Scale {
  const path = document.createElementNS("http://www.w3.org/2000/svg", "path")
  path.setAttribute("d", middle)
  const most = path.getTotalLength()
  const point = (at: number): Point => {
    const { x, y } = path.getPointAtLength(at)
    return [x, y]
  }
  const steps = Math.ceil(most * 4)
  const near = (x: number, y: number) =>
    Array.from({ length: steps + 1 }, (_, i) => i / 4).reduce(
      (best, at) => (away(point(at), x, y) < away(point(best), x, y) ? at : best),
      0,
    )
  const kept = (at: number) => Math.min(Math.max(at, 0), Math.floor(most * 4) / 4)
  return {
    most,
    point,
    at: (x, y) => kept(near(x, y)),
    moved: (at, by) => kept(at + by),
    says: (at) => `${fractionGlyphs(String(at))} from the start`,
  }
}

const away = ([px, py]: Point, x: number, y: number) => Math.hypot(px - x, py - y)

interface HandleProps {
  where: Point
  scale: Scale
  letter: number
  spot: Spot
  onPlace: (at: Place) => void
}

function Handle({ where, letter, spot, scale, onPlace }: HandleProps) {
  const knob = useRef<SVGCircleElement>(null)
  const { over, grab, move, drop } = useCarried(knob, where, { scale, spot, letter, onPlace })
  const at = over ?? spot.at
  return (
    <g data-layer={spot.layer}>
      <circle
        ref={knob}
        cx={where[0]}
        cy={where[1]}
        r={letter * 0.75}
        fill={spot.measure ? "var(--color-base-200)" : "var(--color-primary)"}
        fillOpacity={0.85}
        stroke="var(--color-base-content)"
        strokeWidth={letter * 0.09}
        className="cursor-grab touch-none"
        role="slider"
        tabIndex={0}
        aria-label={spot.says}
        aria-valuemin={0}
        aria-valuemax={scale.most}
        aria-valuenow={at === "middle" ? 0 : at}
        aria-valuetext={scale.says(at)}
        onPointerDown={grab}
        onPointerMove={move}
        onLostPointerCapture={drop}
        onKeyDown={(event) => {
          const step = { ArrowRight: 0.5, ArrowUp: 0.5, ArrowLeft: -0.5, ArrowDown: -0.5 }[event.key]
          const inside = spot.middle && event.key === "Home"
          if (step === undefined && !inside) return
          event.preventDefault()
          if (step === undefined) return onPlace("middle")
          // From the middle a key brings it back to the band, at the bottom.
          onPlace(spot.at === "middle" ? BOTTOM : scale.moved(spot.said ?? spot.at, step))
        }}
      />
    </g>
  )
}

const BOTTOM = 6

/** The hour in a direction, to the half; y runs down. */
export const clockOf = (x: number, y: number) =>
  (Math.round(((Math.atan2(x, -y) / (2 * Math.PI)) * 12 + 12) * 2) / 2) % 12

/** Where a layer sits: where its loops begin, or the middle of its first thing; or where it begins and ends. */
function spotOf(drawing: Drawing, { layer, option }: Spot): Point | undefined {
  const lies = drawing.layers.filter((lie) => lie.layer === layer && lie.front.length > 0)
  const lie = (option === "at" && lies.find((each) => each.kind === "loop")) || lies[0]
  const points = (option === "to" ? lie?.front.at(-1) : lie?.front[0])?.points
  if (!lie || !points) return undefined
  if (lie.kind === "loop" && option === "at") return [points[0] ?? 0, points[1] ?? 0]
  const count = points.length / 2
  const mean = (from: number) => points.filter((_, i) => i % 2 === from).reduce((sum, each) => sum + each, 0) / count
  return [mean(0), mean(1)]
}
