import { memo } from "react"
import type { Declarations } from "../keep/client"

type Shape = Declarations["forms"]["shapes"][number]

/** Every shape, drawn, to choose from. */
export const ShapePicker = memo(function ShapePicker({
  shapes,
  chosen,
  onChoose,
}: {
  shapes: Shape[]
  chosen: string
  onChoose: (name: string) => void
}) {
  return (
    <fieldset className="shape-picker" aria-label="Shape">
      <legend className="sr-only">Shape</legend>
      {shapes.map((shape) => (
        <label key={shape.name} title={shape.title}>
          <input
            type="radio"
            className="peer sr-only"
            name="form.shape"
            value={shape.name}
            checked={shape.name === chosen}
            onChange={() => onChoose(shape.name)}
          />
          <span>
            <Sketch shape={shape} />
            {shape.title}
          </span>
        </label>
      ))}
    </fieldset>
  )
})

/** A shape as a small drawing, or a larger one to choose by. */
export const Sketch = memo(function Sketch({ shape: { sketch }, large }: { shape: Shape; large?: boolean }) {
  if (!sketch) return null
  const [left = 0, top = 0, right = 1, bottom = 1] = sketch.box
  const pad = (right - left) * 0.04
  return (
    <svg
      viewBox={[left - pad, top - pad, right - left + 2 * pad, bottom - top + 2 * pad].join(" ")}
      className={large ? "h-16 w-20" : "h-9 w-12"}
      aria-hidden="true"
    >
      <g fill="none" strokeLinejoin="round">
        {sketch.parts
          .filter((part) => part.kind === "stem")
          .map((part) => (
            <path key={part.line} d={part.line} stroke="currentColor" strokeWidth={part.width} />
          ))}
        <path d={sketch.middle} stroke="currentColor" strokeWidth={sketch.face} />
      </g>
    </svg>
  )
})
