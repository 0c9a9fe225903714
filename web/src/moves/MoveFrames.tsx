import { useQuery } from "@tanstack/react-query"
import { useEffect, useState } from "react"
import { colourOf } from "../drawing/Textures"
import type { Material, ShownMove, Step } from "../keep/client"
import { moveQuery } from "../keep/queries"
import { Prose } from "../pieces/Prose"
import { filled } from "./filled"
import { FramePicture } from "./FramePicture"

/** Milliseconds that a frame is looked at while it plays. */
const EACH = 2800

const LARGE = "text-3xl sm:grid-cols-[minmax(0,23rem)_minmax(0,1fr)] sm:gap-x-8"

/** A step, as far as its moves show it. */
export type Shown = Pick<Step, "move" | "move_says" | "moves" | "of" | "shows">

interface Props {
  step: Shown
  materials: Material[]
  /** To be seen from across a room. */
  large?: boolean
}

/** How the hands go in a step, move by move, with its measures and in its colours. */
export function MoveFrames({ step, materials, large = false }: Props) {
  const all = step.moves ?? [step.move]
  const [chosen, choose] = useState(all[0]!)
  const { data: move } = useQuery(moveQuery(all.includes(chosen) ? chosen : all[0]!))
  const colours = (step.of ?? []).map((id) => colourOf(materials.find((each) => each.id === id)))
  return (
    <figure aria-label="How the hands go" className="min-h-40">
      <figcaption className="flex flex-wrap items-center gap-x-4 text-quiet">
        {move?.says ?? step.move_says}
        {all.length > 1 && <Others all={all} chosen={move?.key} onChoose={choose} />}
      </figcaption>
      {move && <Row key={move.key} move={move} measures={step.shows} colours={colours} large={large} />}
    </figure>
  )
}

/** The moves of a step that takes several, one after the other. */
function Others({ all, chosen, onChoose }: { all: string[]; chosen?: string; onChoose: (key: string) => void }) {
  return (
    <span role="group" aria-label="One move after the other" className="flex items-center gap-2">
      Move
      {all.map((key, index) => (
        <button
          key={key}
          type="button"
          className={`btn btn-sm min-h-11 min-w-11 ${key === chosen ? "border-base-content" : ""}`}
          aria-pressed={key === chosen}
          aria-label={`Move ${index + 1} of ${all.length}`}
          onClick={() => onChoose(key)}
        >
          {index + 1}
        </button>
      ))}
    </span>
  )
}

interface RowProps {
  move: ShownMove
  measures?: Record<string, string>
  colours: string[]
  large: boolean
}

/** Its frames in a row. They are played slowly, until one is touched; that one stays. */
function Row({ move, measures, colours, large }: RowProps) {
  const [current, setCurrent] = useState(0)
  const [playing, setPlaying] = useState(() => !window.matchMedia("(prefers-reduced-motion: reduce)").matches)
  const last = move.frames.length
  useEffect(() => {
    if (!playing) return
    const timer = setInterval(() => setCurrent((now) => (now + 1) % last), EACH)
    return () => clearInterval(timer)
  }, [playing, last])
  const touched = (index: number) => {
    setPlaying(!playing && index === current)
    setCurrent(index)
  }
  const frame = move.frames[current]!
  const pictures = { measures, colours }
  return (
    <div className={`grid gap-x-4 ${large ? LARGE : "sm:grid-cols-[minmax(0,13rem)_minmax(0,1fr)]"}`}>
      <div className="border-t-2 border-primary" data-playing={playing}>
        <FramePicture frame={frame} {...pictures} />
      </div>
      <div className="flex min-w-0 flex-col justify-between">
        <Sentence number={current + 1} says={filled(frame.says, measures)} large={large} />
        <ol className="flex gap-1">
          {move.frames.map((each, index) => (
            <li key={each.says} className={`min-w-0 flex-1 ${large ? "max-w-32" : "max-w-20"}`}>
              <button
                type="button"
                aria-label={`${index + 1}. ${filled(each.says, measures)}`}
                aria-current={index === current ? "step" : undefined}
                className={`min-h-11 w-full border-t-2 ${index === current ? "border-primary" : "border-base-300"}`}
                onClick={() => touched(index)}
              >
                <FramePicture frame={{ ...each, labels: [] }} {...pictures} />
              </button>
            </li>
          ))}
        </ol>
      </div>
    </div>
  )
}

/** What the hands do in a frame. */
function Sentence({ number, says, large = false }: { number: number; says: string; large?: boolean }) {
  return (
    <p className={`leading-snug ${large ? "" : "text-lg"}`}>
      <b>{number}</b> <Prose>{says}</Prose>
    </p>
  )
}
