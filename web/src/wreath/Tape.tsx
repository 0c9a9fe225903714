import { memo, useEffect, useRef, useState } from "react"
import type { TapeFigure, WorkedPlan } from "../keep/client"
import { Dialog } from "../pieces/Dialog"
import { Prose } from "../pieces/Prose"
import { Working } from "../pieces/Working"
import { changesSay } from "./changesSay"
import { workingFor } from "./workings"

const FIGURES = "flex overflow-x-auto px-4 pb-2 max-sm:snap-x max-sm:snap-mandatory sm:px-6"
/** On a phone two at once, swiped to the next. */
const FIGURE =
  "min-w-24 max-w-72 grow basis-auto border-l border-base-content/35 first:border-l-0 " +
  "max-sm:max-w-none max-sm:shrink-0 max-sm:basis-1/2 max-sm:snap-start"

/** The measuring tape across the foot of a wreath: the answers, each opening its sum. */
export const Tape = memo(function Tape({ worked, stale }: { worked: WorkedPlan; stale: boolean }) {
  const [open, setOpen] = useState<TapeFigure>()
  const changes = useChanges(worked.tape)
  return (
    <footer aria-label="The tape" className="the-tape no-print own-layer">
      <Marks />
      <p role="status" className="sr-only">
        {changes}
      </p>
      {worked.tape.length === 0 && (
        <p className="px-6 pb-4">Choose a covering and a material: the answers stand here.</p>
      )}
      <ul className={`${FIGURES} ${stale ? "opacity-60" : ""}`}>
        {worked.tape.map((figure) => (
          <li key={figure.id} className={FIGURE}>
            <Figure figure={figure} onOpen={() => setOpen(figure)} />
          </li>
        ))}
      </ul>
      {open && (
        <Dialog title={`${open.figure} ${open.says}`} onClose={() => setOpen(undefined)}>
          <div className="flex flex-col gap-5">
            {workingFor(worked, open.working).map((part) => (
              <Working key={part.caption} {...part} />
            ))}
          </div>
        </Dialog>
      )}
    </footer>
  )
})

/** The tape before anything is on it: its room is kept. */
export function BareTape() {
  return (
    <div className="the-tape no-print min-h-[5.6rem]" aria-hidden="true">
      <Marks />
    </div>
  )
}

/** A moment after the last change, what has changed, for who cannot see it flash. */
function useChanges(tape: TapeFigure[]): string {
  const before = useRef(tape)
  const [said, setSaid] = useState("")
  useEffect(() => {
    const timer = setTimeout(() => {
      const changes = changesSay(before.current, tape)
      before.current = tape
      if (changes) setSaid(changes)
    }, QUIET)
    return () => clearTimeout(timer)
  }, [tape])
  return said
}

/** Milliseconds that a figure that changed is lit. */
const FLASH = 900

/** Milliseconds without a change before it is said. */
const QUIET = 900

function Figure({ figure, onOpen }: { figure: TapeFigure; onOpen: () => void }) {
  const light = useRef<HTMLElement>(null)
  const before = useRef(figure.figure)
  useEffect(() => {
    if (before.current === figure.figure) return
    before.current = figure.figure
    if (window.matchMedia("(prefers-reduced-motion: reduce)").matches) return
    // Opacity fades without anything being painted anew.
    light.current?.animate([{ opacity: 1 }, { opacity: 0 }], FLASH)
  }, [figure.figure])
  return (
    <button
      type="button"
      onClick={onOpen}
      className="flex h-full w-full cursor-pointer flex-col px-3 py-1 text-left hover:underline"
      title="Show the working"
    >
      <span className="relative isolate whitespace-nowrap font-display text-[1.35rem] font-bold leading-tight">
        <i ref={light} className="absolute inset-0 -z-10 rounded bg-primary opacity-0" aria-hidden="true" />
        {figure.figure.split(/(?<=\d) (?=[a-z])|(?<=[a-z]) (?=\d)/).map((part, index) => (
          <span key={index} className={/^[a-z]/.test(part) ? "text-base" : ""}>
            {index > 0 ? " " : ""}
            <Prose>{part}</Prose>
          </span>
        ))}
      </span>
      <span className="text-sm leading-snug">
        <Prose>{figure.says}</Prose>
      </span>
    </button>
  )
}

/** The marks of a measure, from edge to edge. */
export function Marks() {
  return (
    <svg className="block h-4 w-full" aria-hidden="true">
      <pattern id="tape-marks" width="77" height="16" patternUnits="userSpaceOnUse" x="24">
        {Array.from({ length: 8 }, (_, i) => (
          <path
            key={i}
            d={`M${i * 9.625 + 0.5} 0 V${i === 0 ? 12 : i === 4 ? 9 : 5}`}
            stroke="currentColor"
            strokeOpacity={0.7}
          />
        ))}
      </pattern>
      <rect width="100%" height="16" fill="url(#tape-marks)" />
    </svg>
  )
}
