import { useRef } from "react"
import type { Drawing } from "../keep/client"
import type { Placing } from "./Sheet"

/**
 * A handle on everything that has its place by the clock: dragged round the form, or moved with the arrow keys,
 * half an hour at a time.
 */
export function Handles({ drawing, letter, placing }: { drawing: Drawing; letter: number; placing: Placing }) {
  const [left = 0, top = 0, right = 1, bottom = 1] = drawing.outline_bounds
  const middle: [number, number] = [(left + right) / 2, (top + bottom) / 2]
  return placing.layers.map((layer) => {
    const spot = spotOf(drawing, layer.id)
    return (
      spot && (
        <Handle
          key={layer.id}
          spot={spot}
          middle={middle}
          letter={letter}
          says={layer.says}
          at={layer.at}
          onPlace={(at) => placing.onPlace(layer.id, at)}
        />
      )
    )
  })
}

interface HandleProps {
  spot: [number, number]
  middle: [number, number]
  letter: number
  says: string
  at: number
  onPlace: (at: number) => void
}

function Handle({ spot, middle, letter, says, at, onPlace }: HandleProps) {
  const circle = useRef<SVGCircleElement>(null)
  const drag = (event: React.PointerEvent) => {
    const svg = circle.current?.ownerSVGElement
    const matrix = svg?.getScreenCTM()
    if (!matrix || event.buttons !== 1) return
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    const next = clockOf(point.x - middle[0], point.y - middle[1])
    if (next !== at) onPlace(next)
  }
  return (
    <circle
      ref={circle}
      cx={spot[0]}
      cy={spot[1]}
      r={letter * 0.75}
      fill="var(--color-primary)"
      fillOpacity={0.85}
      stroke="var(--color-base-content)"
      strokeWidth={letter * 0.09}
      className="cursor-grab touch-none"
      role="slider"
      tabIndex={0}
      aria-label={`${says}: at, by the clock`}
      aria-valuemin={0}
      aria-valuemax={12}
      aria-valuenow={at}
      aria-valuetext={`${at === 0 ? 12 : at} o’clock`}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag}
      onKeyDown={(event) => {
        const step = { ArrowRight: 0.5, ArrowUp: 0.5, ArrowLeft: -0.5, ArrowDown: -0.5 }[event.key]
        if (step === undefined) return
        event.preventDefault()
        onPlace((at + step + 12) % 12)
      }}
    />
  )
}

/** The hour in a direction, to the half; y runs down. */
export const clockOf = (x: number, y: number) =>
  (Math.round(((Math.atan2(x, -y) / (2 * Math.PI)) * 12 + 12) * 2) / 2) % 12

/** Where a layer sits: where its loops begin, or the middle of the first thing of it. */
function spotOf(drawing: Drawing, layer: string): [number, number] | undefined {
  const lies = drawing.layers.filter((lie) => lie.layer === layer)
  const lie =
    lies.find((each) => each.kind === "loop" && each.front.length > 0) ?? lies.find((each) => each.front.length > 0)
  const points = lie?.front[0]?.points
  if (!lie || !points) return undefined
  if (lie.kind === "loop") return [points[0] ?? 0, points[1] ?? 0]
  const count = points.length / 2
  const mean = (from: number) => points.filter((_, i) => i % 2 === from).reduce((sum, each) => sum + each, 0) / count
  return [mean(0), mean(1)]
}
