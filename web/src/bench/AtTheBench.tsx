import { useCallback, useEffect, useRef, useState } from "react"
import { Link, useNavigate } from "react-router"
import type { Step, WorkedPlan, Wreath } from "../keep/client"
import { fractionGlyphs } from "../drawing/fractions"
import { useIsMaker } from "../keep/queries"
import { duration } from "../pieces/duration"
import { Fold } from "../pieces/Fold"
import { MoveFrames } from "../moves/MoveFrames"
import { useMovesKept } from "../moves/useMovesKept"
import { Prose } from "../pieces/Prose"
import { Actions } from "./Actions"
import { Counter } from "./Counter"
import { FinishForm } from "./FinishForm"
import { OwnStep } from "./OwnStep"
import { Progress } from "./Progress"
import { StepTape } from "./StepTape"
import { toGo } from "./toGo"
import { useBench } from "./useBench"
import { useBenchKeys } from "./useBenchKeys"
import { useRound } from "./useRound"
import { useSeconds } from "./useSeconds"
import { useSpokenCount } from "./useSpokenCount"
import { useWakeLock } from "./useWakeLock"

/** The drawing with how the hands go beneath it, and the step beside both. */
const SIDES = "lg:grid-cols-[minmax(0,10fr)_minmax(0,11fr)] lg:grid-rows-[minmax(0,1fr)_auto]"

/** The bench of one wreath that can be made. */
export function AtTheBench({ wreath, worked }: { wreath: Wreath; worked: WorkedPlan }) {
  const bench = useBench(wreath.id)
  const [finishing, setFinishing] = useState(false)
  const { steps } = worked
  const round = useRound(wreath.id)
  const current = Math.max(
    steps.findIndex((step) => step.id === (round?.step ?? bench.place)),
    0,
  )
  const navigate = useNavigate()
  const maker = useIsMaker()
  const step = steps[current]!
  const done = bench.counts[step.id] ?? 0
  const action = useRef<HTMLButtonElement>(null)
  const { happen } = bench
  const voice = useSpokenCount(step, done)
  useWakeLock()
  useMovesKept(steps)
  useSeconds(step.id, (seconds) => happen("time", step.id, seconds))

  const count = useCallback(
    (amount: number) => {
      if (step.count !== undefined && (amount > 0 || done > 0)) happen("count", step.id, amount)
    },
    [done, happen, step],
  )
  const go = useCallback(
    (index: number) => {
      const next = steps[index]
      if (round && index < current) return void navigate(round.back)
      if (round) {
        // Its own bench, opened later, stands behind what is done.
        if (next) happen("go", next.id, 0)
        return void navigate(round.to)
      }
      if (next) happen("go", next.id, 0)
      else setFinishing(index >= steps.length)
    },
    [current, happen, navigate, round, steps],
  )
  useEffect(() => action.current?.focus(), [step.id, finishing])
  useBenchKeys({ off: finishing, counted: step.count !== undefined, action, current, onCount: count, onGo: go })

  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <Head
        wreath={wreath}
        step={step.id}
        current={current}
        steps={steps.length}
        bench={bench}
        round={round?.place}
        voice={voice}
      />
      {finishing && !maker && <Counted onBack={() => setFinishing(false)} />}
      {finishing && maker && (
        <FinishForm
          wreath={wreath}
          sheet={worked.cut_sheet}
          counted={Object.values(bench.counts).some((count) => count > 0)}
          waiting={bench.waiting}
          onBack={() => setFinishing(false)}
          onDone={bench.forget}
        />
      )}
      {!finishing && (
        <main
          className={`grid min-h-0 flex-1 gap-x-6 gap-y-3 px-4 pb-4 sm:px-6 ${SIDES}`}
          onClick={(event) => !(event.target as HTMLElement).closest("button, a, dialog, details") && count(1)}
        >
          <section
            aria-label="As far as it is made"
            className="flex h-64 min-h-0 flex-col rounded border border-base-300 bg-base-200 p-3 sm:h-96 lg:h-auto"
          >
            <div className="min-h-0 flex-1">
              <Progress
                drawing={worked.drawing}
                materials={wreath.plan.materials ?? []}
                steps={steps}
                current={current}
                counts={bench.counts}
                label={`The wreath at step ${current + 1}: ${step.title}`}
              />
            </div>
            <p className="text-quiet">{toGo(steps, current, bench.counts)}</p>
          </section>
          <section
            aria-label="The step"
            className="flex min-h-0 flex-col gap-4 p-1 lg:row-span-2 lg:overflow-y-auto"
            tabIndex={-1}
          >
            <h2 className="text-3xl">{step.title}</h2>
            <Taken step={step} />
            {step.count !== undefined && <Counter step={step} count={done} />}
            <Actions
              step={step}
              count={done}
              last={current === steps.length - 1}
              first={current === 0 && !round}
              next={round?.says}
              before={round && "All steps"}
              action={action}
              onCount={count}
              onGo={(by) => go(current + by)}
            />
            {current === 0 && <p className="text-lg">Have ready: {worked.tools?.join(", ")}.</p>}
            <Doing step={step} />
            <Drying step={step} steps={steps} onGo={go} />
            {step.because && <Why step={step} />}
            {!round && maker && <OwnStep wreath={wreath} step={step} steps={steps} />}
          </section>
          <MoveFrames key={step.id} step={step} materials={wreath.plan.materials ?? []} />
        </main>
      )}
      {!finishing && !round && <StepTape steps={steps} current={current} counts={bench.counts} onGo={go} />}
    </div>
  )
}

interface HeadProps {
  wreath: Wreath
  step: string
  current: number
  steps: number
  bench: ReturnType<typeof useBench>
  /** When one step is done for all wreaths of an occasion: which of them this is. */
  round?: string
  voice: ReturnType<typeof useSpokenCount>
}

/** Which wreath, how far, how long, and whether everything is kept. */
function Head({ wreath, step, current, steps, bench, round, voice }: HeadProps) {
  const seconds = Object.values(bench.seconds).reduce((sum, each) => sum + each, 0)
  const alike = wreath.plan.quantity ?? 1
  const says = [
    ...(alike > 1 ? [`wreath ${(bench.finished % alike) + 1} of ${alike}`] : []),
    `step ${current + 1} of ${steps}`,
    ...(round ? [round] : []),
    `${Math.round(seconds / 60)} min at the bench`,
  ]
  return (
    <header className="flex flex-wrap items-baseline gap-x-4 px-4 py-3 sm:px-6">
      <h1 className="font-display text-xl font-bold">{wreath.name}</h1>
      <p className="text-quiet">
        {says.join(" · ")} · <span data-kept>{keptSays(bench)}</span>
      </p>
      {voice.can && (
        <button
          type="button"
          className="link ml-auto min-h-11"
          aria-pressed={voice.on}
          onClick={() => voice.turn(!voice.on)}
        >
          {voice.on ? "Stop saying the count" : "Say the count aloud"}
        </button>
      )}
      <Link
        className={`${voice.can ? "" : "ml-auto"} flex min-h-11 items-center underline`}
        to={`/wreaths/${wreath.id}/room?step=${step}`}
      >
        For the room
      </Link>
      <Link className="flex min-h-11 items-center underline" to={`/wreaths/${wreath.id}/cover`}>
        Leave the bench
      </Link>
    </header>
  )
}

/** A helper has counted to the end: what it took goes into the notebook of a maker. */
function Counted({ onBack }: { onBack: () => void }) {
  return (
    <main className="flex-1 p-6">
      <h2 className="text-2xl">All steps are done</h2>
      <p className="py-2 text-lg">
        A maker of this workshop writes down what it took; every count is kept until then.
      </p>
      <button type="button" className="btn min-h-11" onClick={onBack}>
        Back to the last step
      </button>
    </main>
  )
}

function keptSays({ waiting, away }: { waiting: number; away: boolean }): string {
  if (away) return "Kept on this device: the server is away"
  return waiting > 0 ? "Kept on this device, on its way" : "Saved"
}

/** What the step takes up, measured. */
function Taken({ step }: { step: Step }) {
  if (!step.takes) return null
  return (
    <ul className="text-lg" aria-label="Takes">
      {step.takes.map((each) => (
        <li key={each.name + each.says}>
          <b>{fractionGlyphs(each.says)}</b> · {each.name}
        </li>
      ))}
    </ul>
  )
}

/** Drying is no work: what else there is to do meanwhile. */
function Drying({ step, steps, onGo }: { step: Step; steps: Step[]; onGo: (index: number) => void }) {
  if (step.waits === undefined) return null
  const meanwhile = steps.flatMap((each, index) => (step.meanwhile?.includes(each.id) ? [{ each, index }] : []))
  return (
    <div className="text-lg">
      <p>
        <b>Then it dries:</b> about {duration(step.waits)}, as the label says.
        {meanwhile.length > 0 && " Meanwhile:"}
      </p>
      <ul>
        {meanwhile.map(({ each, index }) => (
          <li key={each.id}>
            <button type="button" className="link min-h-11" onClick={() => onGo(index)}>
              {each.title}
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}

/** Why it comes where it does, for who asks. */
function Why({ step }: { step: Step }) {
  return (
    <Fold key={step.id} summary="Why now">
      {step.because?.map((says) => (
        <p key={says}>{says}</p>
      ))}
    </Fold>
  )
}

/** How the hands go, what can hurt, and what to look at before going on. */
function Doing({ step }: { step: Step }) {
  return (
    <>
      <p className="text-xl leading-snug">
        <Prose>{step.says}</Prose>
      </p>
      {step.cautions.map((says) => (
        <p key={says} className="border-l-4 border-error pl-3 text-lg">
          {says}
        </p>
      ))}
      <p className="text-lg">
        <b>Before you go on:</b> <Prose>{step.look}</Prose>
      </p>
    </>
  )
}
