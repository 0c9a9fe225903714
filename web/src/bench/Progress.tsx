import type { Drawing, Material, Step } from "../keep/client"
import { Covered } from "../drawing/Covered"

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
  const amber: Material = { id: "·latest", kind: "coat", name: "the latest", colour: "var(--color-primary)" }
  const lit: Material = {
    ...amber,
    id: "·next",
    colour: "color-mix(in oklab, var(--color-primary) 35%, transparent)",
  }
  const made = {
    ...drawing,
    layers: drawing.layers.flatMap((lie) => {
      const own = steps.map((step, index) => ({ step, index })).filter(({ step }) => step.layer === lie.layer)
      // What no step lays by itself is shown by its share of the step that ends the layer.
      const end = own.at(-1)
      const counted =
        own.find(({ step }) => step.lays === lie.key && step.count !== undefined) ??
        (end?.step.count === undefined ? undefined : end)
      const last = counted ?? end
      if (!last || last.index < current) return [lie]
      if (last.index > current) return []
      if (!counted) return [lie]
      const done = Math.min(
        Math.round(((counts[counted.step.id] ?? 0) / (counted.step.count ?? 1)) * lie.front.length),
        lie.front.length,
      )
      // What is only shown by its share of a step is nothing that the hands take up next.
      const taken = counted.step.lays === lie.key ? 1 : 0
      const next = lie.front.slice(done, done + taken).map((item) => ({ ...item, colour: 0 }))
      const latest = lie.front.slice(Math.max(done - 1, 0), done).map((item) => ({ ...item, colour: 0 }))
      return [
        { ...lie, front: lie.front.slice(0, done), back: lie.back.slice(0, done) },
        ...(next.length > 0 ? [{ ...lie, materials: [lit.id], front: next, back: [] }] : []),
        ...(latest.length > 0 ? [{ ...lie, materials: [amber.id], front: latest, back: [] }] : []),
      ]
    }),
  }
  return (
    <svg
      viewBox={[left - pad, top - pad, right - left + 2 * pad, bottom - top + 2 * pad].join(" ")}
      className="h-full w-full"
      role="img"
      aria-label={label}
    >
      <Covered drawing={made} materials={[...materials, amber, lit]} side="front" />
    </svg>
  )
}
