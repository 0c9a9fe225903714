import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from "react"
import { byArrow } from "../pieces/arrows"
import { Covered } from "../drawing/Covered"
import { pictureAt } from "../drawing/Textures"
import type { Material, OnDoor, Place, WorkedPlan } from "../keep/client"
import { matrix3d } from "./matrix3d"

export type Pixel = [number, number]

interface Props {
  hung: OnDoor
  place: Place
  worked: WorkedPlan
  materials: Material[]
  back: boolean
  /** Where it is to hang; the answer for it may still be on its way. */
  at?: Pixel
  onAt: (at: Pixel) => void
}

/** Pixels of the screen that an arrow key moves it by; with Shift, one. */
const STEP = 10

/** A wreath on a door at its true size, in the photo's perspective: by hand or by the arrow keys it hangs elsewhere. */
export function HungOnDoor({ hung, place, worked, materials, back, at, onAt }: Props) {
  const frame = useRef<HTMLDivElement>(null)
  const room = useRoom(frame)
  const [from, setFrom] = useState<Pixel>()
  const [moved, setMoved] = useState<Pixel>([0, 0])
  const [width = 1, height = 1] = hung.size
  const scale = Math.min(room.width / width, room.height / height)
  const here = (at ?? hung.at) as Pixel
  const shift = [0, 1].map((i) => (here[i]! - hung.at[i]!) * scale + moved[i]!)
  const to = (x: number, y: number) =>
    onAt([within(here[0] + x / scale, width), within(here[1] + y / scale, height)].map(Math.round) as Pixel)
  const byKey = (event: KeyboardEvent) => {
    const step = byArrow(event, STEP)
    if (!step) return
    event.preventDefault()
    to(...step)
  }
  const drag = (event: PointerEvent): Pixel => (from ? [event.clientX - from[0], event.clientY - from[1]] : [0, 0])
  return (
    <div
      ref={frame}
      className="relative h-full min-h-0 w-full overflow-hidden max-lg:h-auto max-lg:max-h-[70vh]"
      style={{ aspectRatio: `${width} / ${height}` }}
    >
      <div
        className="on-door absolute top-0 left-1/2 -translate-x-1/2 overflow-hidden rounded"
        style={{ width: width * scale, height: height * scale }}
      >
        <TheDoor hung={hung} place={place} />
        <div
          role="application"
          tabIndex={0}
          aria-label="The wreath on the door: drag it, or the arrow keys move it, with Shift by a hair"
          className="absolute inset-0 touch-none"
          onKeyDown={byKey}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            setFrom([event.clientX, event.clientY])
          }}
          onPointerMove={(event) => from && setMoved(drag(event))}
          onPointerUp={(event) => {
            const [x, y] = drag(event)
            setFrom(undefined)
            setMoved([0, 0])
            if (x || y) to(x, y)
          }}
        >
          <Wreath
            {...{ hung, worked, materials, back, scale }}
            style={{ transform: `translate(${shift[0]}px, ${shift[1]}px)` }}
          />
        </div>
      </div>
    </div>
  )
}

/** The door itself: its photo, or as it is drawn. */
export function TheDoor({ hung, place }: { hung: OnDoor; place: Place }) {
  const [width = 1, height = 1] = hung.size
  if (place.photo) return <img src={pictureAt(place.photo.id)} alt="" className="h-full w-full" draggable={false} />
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="h-full w-full" aria-hidden="true">
      <rect width={width} height={height} fill={place.paint ?? "var(--unknown)"} />
      {hung.panels.map(([x, y, wide, high], i) => (
        <rect
          key={i}
          {...{ x, y, width: wide, height: high }}
          fill="none"
          stroke="var(--ink)"
          strokeOpacity={0.25}
          strokeWidth={width * 0.008}
        />
      ))}
    </svg>
  )
}

interface WreathProps {
  hung: OnDoor
  worked: WorkedPlan
  materials: Material[]
  back: boolean
  /** Pixels of the screen to one of the picture. */
  scale: number
  style?: React.CSSProperties
}

/** Pixels of the element to a unit of the drawing. */
const PIXELS = 32

/** The wreath as its matrix says, above its shadow. */
export function Wreath({ hung, worked, materials, back, scale, style }: WreathProps) {
  const [left = 0, top = 0, right = 1, bottom = 1] = hung.box
  const [across = 0, down = 0, soft = 0] = hung.shadow.map((each) => each * scale)
  const shadow = `drop-shadow(${across}px ${down}px ${soft / 2}px rgb(0 0 0 / 0.5))`
  return (
    <div className="pointer-events-none absolute inset-0" style={{ filter: shadow, ...style }}>
      <svg
        viewBox={[left, top, right - left, bottom - top].join(" ")}
        aria-hidden="true"
        className="hung-wreath absolute top-0 left-0 overflow-visible"
        style={{
          width: (right - left) * PIXELS,
          height: (bottom - top) * PIXELS,
          maxWidth: "none",
          transformOrigin: "0 0",
          transform: matrix3d(hung.matrix, hung.box, PIXELS, scale),
        }}
      >
        <Covered drawing={worked.drawing} materials={materials} side={back ? "back" : "front"} small={!back} />
      </svg>
    </div>
  )
}

const within = (place: number, most: number) => Math.min(Math.max(place, 0), most)

/** How large an element is, now and whenever that changes. */
function useRoom(element: React.RefObject<HTMLElement | null>) {
  const [room, setRoom] = useState({ width: 1, height: 1 })
  useEffect(() => {
    const seen = new ResizeObserver(([entry]) => entry && setRoom(entry.contentRect))
    seen.observe(element.current!)
    return () => seen.disconnect()
  }, [element])
  return room
}
