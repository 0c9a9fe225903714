import { useEffect, useState } from "react"
import { Link, useParams, useSearchParams } from "react-router"
import { ToBeMade } from "../bench/BenchScreen"
import type { Step, WorkedPlan, Wreath } from "../keep/client"
import { MoveFrames } from "../moves/MoveFrames"
import { Prose } from "../pieces/Prose"

/** One step large, for a room that looks on: nothing is counted here. */
export function RoomScreen() {
  const { id } = useParams()
  return (
    <ToBeMade key={id} id={Number(id)} called="For the room">
      {(wreath, worked) => <Shown wreath={wreath} worked={worked} />}
    </ToBeMade>
  )
}

/** Forth and back by what a presenter’s remote, a pedal or a keyboard sends. */
const ON = ["ArrowRight", "ArrowDown", "PageDown", " ", "Enter"]
const BACK = ["ArrowLeft", "ArrowUp", "PageUp", "Backspace"]

function Shown({ wreath, worked }: { wreath: Wreath; worked: WorkedPlan }) {
  const { steps } = worked
  const [asked] = useSearchParams()
  const [current, setCurrent] = useState(() =>
    Math.max(
      steps.findIndex(({ id }) => id === asked.get("step")),
      0,
    ),
  )
  const last = steps.length - 1
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if ((event.target as HTMLElement).closest("button, a")) return
      if (ON.includes(event.key)) setCurrent((now) => Math.min(now + 1, last))
      else if (BACK.includes(event.key)) setCurrent((now) => Math.max(now - 1, 0))
      else return
      event.preventDefault()
    }
    document.addEventListener("keydown", pressed)
    return () => document.removeEventListener("keydown", pressed)
  }, [last])
  const step = steps[current]
  if (!step) return null
  return (
    <main className="flex min-h-dvh flex-col gap-5 p-4 sm:px-10 sm:py-6">
      <header className="flex flex-wrap items-baseline gap-x-6 text-xl text-quiet">
        <span>{wreath.name}</span>
        <span>
          Step {current + 1} of {steps.length}
        </span>
        <Link className="ml-auto flex min-h-11 items-center underline" to={`/wreaths/${wreath.id}/bench`}>
          To the bench
        </Link>
      </header>
      <Large step={step} />
      <MoveFrames key={step.id} step={step} materials={wreath.plan.materials ?? []} large />
      <footer className="mt-auto flex justify-between gap-4">
        <button type="button" className="btn btn-lg" disabled={current === 0} onClick={() => setCurrent(current - 1)}>
          Step before
        </button>
        <button
          type="button"
          className="btn btn-lg btn-primary"
          disabled={current === last}
          onClick={() => setCurrent(current + 1)}
        >
          Next step
        </button>
      </footer>
    </main>
  )
}

/** What is done, and with how much of what. */
function Large({ step }: { step: Step }) {
  return (
    <section aria-live="polite" className="grid gap-4">
      <h1 className="text-4xl sm:text-5xl">
        {step.title}
        {step.count !== undefined && (
          <span className="text-quiet">
            {" "}
            · {step.count} {step.count === 1 ? step.unit_one : step.unit}
          </span>
        )}
      </h1>
      <p className="max-w-[80ch] text-2xl leading-snug">
        <Prose>{step.says}</Prose>
      </p>
      {step.cautions.map((says) => (
        <p key={says} className="border-l-4 border-error pl-4 text-xl">
          {says}
        </p>
      ))}
    </section>
  )
}
