import { useId, useState } from "react"
import { Prose } from "../pieces/Prose"
import { Problem } from "../pieces/Problem"

interface Props {
  label: string
  said: string
  place: { left: number; top: number }
  problem?: string
  onSize: (text: string) => void
  onDone: () => void
}

/** A size, typed where its dimension line says it. What cannot be is said right there. */
export function SizeField({ label, said, place, problem, onSize, onDone }: Props) {
  const [text, setText] = useState(said)
  const id = useId()
  return (
    <div
      className="absolute z-10 w-48 -translate-x-1/2 -translate-y-4 text-center"
      style={{ left: Math.max(place.left, 100), top: place.top }}
    >
      <input
        autoFocus
        aria-label={`${label}, on the drawing`}
        className="input text-center font-bold"
        value={text}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? id : undefined}
        onFocus={(event) => event.target.select()}
        onBlur={onDone}
        onKeyDown={(event) => (event.key === "Enter" || event.key === "Escape") && onDone()}
        onChange={(event) => {
          setText(event.target.value)
          onSize(event.target.value)
        }}
      />
      {problem && (
        <Problem small id={id} className="mt-1 bg-base-200">
          <Prose>{problem}</Prose>
        </Problem>
      )}
    </div>
  )
}
