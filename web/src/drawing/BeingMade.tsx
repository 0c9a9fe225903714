import { Pause, Play } from "lucide-react"
import { useEffect, useState } from "react"
import { Progress } from "../bench/Progress"
import type { Material, WorkedPlan } from "../keep/client"
import { lastMoment, momentAt } from "./moments"
import { SendFilm } from "./SendFilm"

/** Seconds from the bare form to the finished wreath. */
const SECONDS = 20

interface Props {
  worked: WorkedPlan
  materials: Material[]
  /** Where it is kept: then it can be sent as a film. */
  wreath?: number
}

/** The wreath being made, from the bare form on: by a slider, or played. */
export function BeingMade({ worked, materials, wreath }: Props) {
  const { steps } = worked
  const last = lastMoment(steps)
  const [after, setAfter] = useState(0)
  const [playing, setPlaying] = useState(false)
  // A plan that was changed meanwhile may have fewer pieces.
  const here = Math.min(after, last)
  useEffect(() => {
    if (!playing) return
    const began = performance.now() - (here / last) * SECONDS * 1000
    let frame = requestAnimationFrame(function next(now) {
      const there = Math.min(Math.round(((now - began) / 1000 / SECONDS) * last), last)
      setAfter(there)
      if (there < last) frame = requestAnimationFrame(next)
      else setPlaying(false)
    })
    return () => cancelAnimationFrame(frame)
    // It goes on from where it stands, and is not begun anew by every piece.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [playing, last])
  const { current, counts } = momentAt(steps, here)
  const step = steps[Math.min(current, steps.length - 1)]
  if (!step) return null
  const says = here === last ? "Finished" : step.title
  const counted = here < last && step.count !== undefined ? `, ${counts[step.id] ?? 0} of ${step.count}` : ""
  return (
    <div className="flex min-h-0 w-full flex-1 flex-col">
      <div className="min-h-0 flex-1 max-sm:h-80">
        <Progress
          drawing={worked.drawing}
          materials={materials}
          steps={steps}
          current={current}
          counts={counts}
          label={`The wreath as it is made: ${says}${counted}`}
        />
      </div>
      <p className="flex flex-wrap justify-between gap-x-4 px-2" aria-live={playing ? "off" : "polite"}>
        <b>{says}</b>
        <span className="text-quiet tabular-nums">
          {counted.slice(2)} {counted && step.unit}
        </span>
      </p>
      <div className="flex items-center gap-3 px-2">
        <button
          type="button"
          className="btn btn-circle"
          aria-label={playing ? "Stop" : "Play"}
          onClick={() => {
            if (!playing && here === last) setAfter(0)
            setPlaying(!playing)
          }}
        >
          {playing ? <Pause size={20} aria-hidden="true" /> : <Play size={20} aria-hidden="true" />}
        </button>
        <input
          type="range"
          className="range w-full"
          aria-label="How far it is made"
          aria-valuetext={`${says}${counted}`}
          min={0}
          max={last}
          value={here}
          onChange={(event) => {
            setPlaying(false)
            setAfter(Number(event.target.value))
          }}
        />
        {wreath !== undefined && <SendFilm id={wreath} name={worked.name ?? "wreath"} steps={steps} />}
      </div>
    </div>
  )
}
