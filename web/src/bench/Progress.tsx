import type { Drawing, Material, Step } from "../keep/client"
import { Covered } from "../drawing/Covered"
import { inParts, laidAt, LIT } from "../drawing/made/moments"

interface Props {
  drawing: Drawing
  materials: Material[]
  steps: Step[]
  /** The step that is being done. */
  current: number
  counts: Record<string, number>
  label: string
}

/** The wreath as far as it is made: what was counted lies where it lies, the last of it in amber, the next lit. */
export function Progress({ drawing, materials, steps, current, counts, label }: Props) {
  const [left = 0, top = 0, right = 1, bottom = 1] = drawing.bounds
  const pad = (right - left) * 0.05
  const moment = { current, counts }
  const made = {
    ...drawing,
    layers: drawing.layers.flatMap((lie) =>
      laidAt(lie, steps, moment).flatMap((part) =>
        part.materials === lie.materials && part.front.length < lie.front.length
          ? inParts(lie, part.front.length)
          : [part],
      ),
    ),
  }
  return (
    <svg
      viewBox={[left - pad, top - pad, right - left + 2 * pad, bottom - top + 2 * pad].join(" ")}
      className="h-full w-full"
      role="img"
      aria-label={label}
    >
      <Covered drawing={made} materials={[...materials, ...LIT]} side="front" />
    </svg>
  )
}
