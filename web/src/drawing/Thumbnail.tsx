import type { Drawing, Material } from "../keep/client"
import { Covered } from "./Covered"

/** The drawing alone, small, for lists. */
export function Thumbnail({ drawing, materials, label }: { drawing: Drawing; materials: Material[]; label: string }) {
  const [left = 0, top = 0, right = 1, bottom = 1] = drawing.bounds
  const pad = (right - left) * 0.03
  return (
    <svg
      viewBox={[left - pad, top - pad, right - left + 2 * pad, bottom - top + 2 * pad].join(" ")}
      className="h-full w-full"
      role="img"
      aria-label={label}
    >
      <Covered drawing={drawing} materials={materials} side="front" small />
    </svg>
  )
}
