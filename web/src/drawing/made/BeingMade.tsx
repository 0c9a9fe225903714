import { Pause, Play } from "lucide-react"
import { useCallback, useEffect, useRef, useState } from "react"
import type { Material, WorkedPlan } from "../../keep/client"
import { MadeCanvas } from "./MadeCanvas"
import { lastMoment, momentAt } from "./moments"
import type { Painter } from "./painter"
import { SendFilm } from "./SendFilm"

/** Seconds from the bare form to the finished wreath. */
const SECONDS = 20
/** It is painted with every frame; what is said of it is said anew after so many milliseconds. */
const SAID = 250

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
  const painter = useRef<Painter>(undefined)
  const slider = useRef<HTMLInputElement>(null)
  const [playing, setPlaying] = useState(false)
  const [after, setAfter] = useSaid(SAID)
  // A plan that was changed meanwhile may have fewer pieces.
  const here = Math.min(after, last)
  const go = useCallback(
    (next: number) => {
      painter.current?.paint(momentAt(steps, next))
      if (slider.current && Number(slider.current.value) !== next) slider.current.value = String(next)
      setAfter(next)
    },
    [steps, setAfter],
  )
  useEffect(() => {
    if (!playing) return
    const began = performance.now() - (Number(slider.current?.value) / last) * SECONDS * 1000
    let frame = requestAnimationFrame(function next(now) {
      const there = Math.min(Math.round(((now - began) / 1000 / SECONDS) * last), last)
      go(there)
      if (there < last) frame = requestAnimationFrame(next)
      else setPlaying(false)
    })
    return () => cancelAnimationFrame(frame)
    // It goes on from where it stands, and is not begun anew by every piece.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [playing, last])
  // Past React too: a slider that is moved sends one for every frame.
  useEffect(() => {
    const moved = slider.current
    const follow = (event: Event) => {
      // React would look for who listens to it, as long as it takes to paint it.
      event.stopPropagation()
      setPlaying(false)
      go(Number(moved!.value))
    }
    moved?.addEventListener("input", follow)
    return () => moved?.removeEventListener("input", follow)
  }, [go])
  const { current, counts } = momentAt(steps, here)
  const step = steps[Math.min(current, steps.length - 1)]
  if (!step) return null
  const says = here === last ? "Finished" : step.title
  const counted = here < last && step.count !== undefined ? `, ${counts[step.id] ?? 0} of ${step.count}` : ""
  return (
    <div className="flex min-h-0 w-full flex-1 flex-col">
      <div className="min-h-0 flex-1 max-sm:h-80">
        <MadeCanvas
          drawing={worked.drawing}
          materials={materials}
          steps={steps}
          current={current}
          counts={counts}
          label={`The wreath as it is made: ${says}${counted}`}
          painterRef={painter}
        />
      </div>
      <div className="h-6 contain-strict max-sm:h-12">
        <p className="flex justify-between gap-x-4 px-2 max-sm:flex-wrap" aria-live={playing ? "off" : "polite"}>
          <b className="truncate">{says}</b>
          <span className="whitespace-nowrap text-quiet tabular-nums">
            {counted.slice(2)} {counted && step.unit}
          </span>
        </p>
      </div>
      <div className="own-layer flex items-center gap-3 px-2">
        <button
          type="button"
          className="btn btn-circle"
          aria-label={playing ? "Stop" : "Play"}
          onClick={() => {
            if (!playing && Number(slider.current?.value) === last) go(0)
            setPlaying(!playing)
          }}
        >
          {playing ? <Pause size={20} aria-hidden="true" /> : <Play size={20} aria-hidden="true" />}
        </button>
        <div className="grow">
          <div className="h-10 w-full contain-strict">
            <input
              ref={slider}
              type="range"
              className="range mt-2 w-full"
              aria-label="How far it is made"
              aria-valuetext={`${says}${counted}`}
              min={0}
              max={last}
              defaultValue={0}
            />
          </div>
        </div>
        {wreath !== undefined && <SendFilm id={wreath} name={worked.name ?? "wreath"} steps={steps} />}
      </div>
    </div>
  )
}

/** A number that is said anew when it has changed, the first time at once, and then no oftener than so. */
function useSaid(milliseconds: number): [number, (next: number) => void] {
  const [said, setSaid] = useState(0)
  const [latestRef, timerRef] = [useRef(0), useRef<ReturnType<typeof setTimeout>>(undefined)]
  useEffect(() => () => clearTimeout(timerRef.current), [timerRef])
  const say = useCallback(
    (next: number) => {
      latestRef.current = next
      if (timerRef.current) return
      setSaid(next)
      timerRef.current = setTimeout(() => {
        timerRef.current = undefined
        setSaid(latestRef.current)
      }, milliseconds)
    },
    [latestRef, milliseconds, timerRef],
  )
  return [said, say]
}
