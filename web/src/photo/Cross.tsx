import type { Place } from "./taps"

/** Where a tap goes. */
export function Cross({ at: [x, y], size }: { at: Place; size: number }) {
  return (
    <path
      d={`M${x - size} ${y} H${x + size} M${x} ${y - size} V${y + size}`}
      stroke="var(--color-error)"
      strokeWidth={size / 14}
      pointerEvents="none"
    />
  )
}
