import { useRef, useState } from "react"
import { byArrow } from "../pieces/arrows"
import type { Place } from "./taps"

/** Pixels that an arrow key moves the cross by; with Shift, one. */
const STEP = 12

/** A cross on a photo that goes with the pointer or the arrow keys, and what is tapped with it. */
export function useCross({ width, height }: { width: number; height: number }, onTap: (place: Place) => void) {
  const frameRef = useRef<SVGSVGElement>(null)
  const [at, setAt] = useState<Place>()
  const inside = (place: number, most: number) => Math.min(Math.max(place, 0), most)
  const place = (event: { clientX: number; clientY: number }): Place => {
    const box = frameRef.current!.getBoundingClientRect()
    return [
      inside(((event.clientX - box.left) / box.width) * width, width),
      inside(((event.clientY - box.top) / box.height) * height, height),
    ]
  }
  const byKey = (event: React.KeyboardEvent) => {
    const [x, y] = at ?? [width / 2, height / 2]
    const step = byArrow(event, STEP)
    if (event.key === "Enter" || event.key === " ") onTap([x, y])
    else if (step) setAt([inside(x + step[0], width), inside(y + step[1], height)])
    else return
    event.preventDefault()
  }
  return {
    at,
    frame: {
      ref: frameRef,
      viewBox: `0 0 ${width} ${height}`,
      tabIndex: 0,
      role: "application",
      onPointerMove: (event: React.PointerEvent) => setAt(place(event)),
      onPointerLeave: () => setAt(undefined),
      onClick: (event: React.MouseEvent) => onTap(place(event)),
      onKeyDown: byKey,
    },
  }
}
