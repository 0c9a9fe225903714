import { useEffect, useMemo, useRef, useState } from "react"
import { createPortal } from "react-dom"
import { Dialog } from "../pieces/Dialog"
import { Problem } from "../pieces/Problem"
import { fileOf, opened, paintLeft, pixelsOf } from "./canvas"
import { Cross } from "./Cross"
import { leftOf, takenOff, type Left } from "./cutting"
import type { Place } from "./taps"
import { useCross } from "./useCross"

/** How a thing is cut out of its photo, as a material keeps it. */
export interface CutOutline {
  outline: number[][]
  high: number
}

interface Props {
  photo: File
  onCut: (picture: Blob, cut: CutOutline) => void
  onClose: () => void
}

/** A thing cut out of its photo: the ground about it is tapped, and goes as far as it is alike. */
export function CutOut({ photo, onCut, onClose }: Props) {
  const [canvas, setCanvas] = useState<HTMLCanvasElement | "unreadable">()
  useEffect(() => {
    let current = true
    void opened(photo).then((read) => current && setCanvas(read ?? "unreadable"))
    return () => {
      current = false
    }
  }, [photo])
  return createPortal(
    <Dialog title="Cut it out of its photo" wide="yes" onClose={onClose}>
      {canvas === "unreadable" ? (
        <Problem>{photo.name} is no picture that can be read here. Choose a JPEG, PNG or WebP.</Problem>
      ) : (
        canvas && <Cutting photo={canvas} onCut={onCut} />
      )}
    </Dialog>,
    document.body,
  )
}

/** As high as the photo may be shown, in hundredths of the screen. */
const HIGHEST = 60
/** By how much a colour may differ at first, of a hundred; and over how many pixels an edge is softened. */
const ALIKE = 12
const SOFT = 1.5

function Cutting({ photo, onCut }: { photo: HTMLCanvasElement; onCut: Props["onCut"] }) {
  const [taps, setTaps] = useState<Place[]>([])
  const [alike, setAlike] = useState(ALIKE)
  const [soft, setSoft] = useState(SOFT)
  const shownRef = useRef<HTMLCanvasElement>(null)
  const pixels = useMemo(() => pixelsOf(photo), [photo])
  const off = useMemo(() => takenOff(pixels, taps, (alike / 100) * 255), [pixels, taps, alike])
  const left = useMemo(() => leftOf(pixels, off), [pixels, off])
  const { at, frame } = useCross(photo, (place) => setTaps((before) => [...before, place]))
  useEffect(() => paintLeft(shownRef.current!, photo, off, soft), [photo, off, soft])
  const proportion = photo.width / photo.height
  const take = async ({ outline, ...box }: Left) => {
    const high = Math.round((box.height / box.width) * 1000)
    onCut(await fileOf(shownRef.current!, { outline, ...box }), { outline, high })
  }
  return (
    <div className="grid gap-4 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div
        className="checkered relative mx-auto"
        style={{ aspectRatio: proportion, width: `min(100%, ${proportion * HIGHEST}dvh)` }}
      >
        <canvas ref={shownRef} aria-hidden="true" className="h-full w-full" />
        <svg
          {...frame}
          className="absolute inset-0 h-full w-full cursor-crosshair touch-manipulation"
          aria-label="The photo: the arrow keys move the cross, with Shift by a hair; Enter taps"
        >
          {at && <Cross at={at} size={photo.width / 30} />}
        </svg>
      </div>
      <div className="space-y-3">
        <p role="status" className="font-semibold">
          {taps.length === 0
            ? "Tap what lies about it: that is taken off."
            : "Tap whatever else is to go, also where one sees through it."}
        </p>
        <Slider
          label="How far a tap reaches"
          help="Further where some of what lies about it stays, less far where the thing itself goes."
          value={alike}
          most={80}
          onChange={setAlike}
        />
        <Slider label="How soft its edge is" value={soft} most={5} step={0.5} onChange={setSoft} />
        {!left && <Problem small>Nothing is left of it: let a tap reach less far, or undo the last.</Problem>}
        <p className="flex flex-wrap gap-3">
          <button type="button" className="btn btn-primary" disabled={!left} onClick={() => left && void take(left)}>
            {taps.length === 0 ? "Take all of the photo" : "Take it"}
          </button>
          <button
            type="button"
            className="btn"
            disabled={taps.length === 0}
            onClick={() => setTaps(taps.slice(0, -1))}
          >
            Undo the last tap
          </button>
        </p>
        <p className="text-sm text-quiet">The photo is cut here; only what is left of it is kept.</p>
      </div>
    </div>
  )
}

interface SliderProps {
  label: string
  help?: string
  value: number
  most: number
  step?: number
  onChange: (value: number) => void
}

function Slider({ label, help, value, most, step = 1, onChange }: SliderProps) {
  return (
    <label className="block">
      {label}
      <input
        type="range"
        className="range range-sm block w-full"
        min={0}
        max={most}
        step={step}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
      />
      {help && <span className="text-sm text-quiet">{help}</span>}
    </label>
  )
}
