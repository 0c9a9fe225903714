import { useQuery } from "@tanstack/react-query"
import { useCallback, useEffect, useRef, useState } from "react"
import { Link, useParams } from "react-router"
import { answered, api, type Step, type WorkedPlan, type Wreath } from "../api/client"
import { useWork } from "../api/queries"
import { Prose } from "../pieces/Prose"
import { Counter } from "./Counter"
import { FinishForm } from "./FinishForm"
import { Move } from "./Move"
import { Progress } from "./Progress"
import { StepTape } from "./StepTape"
import { useBench } from "./useBench"
import { useWakeLock } from "./useWakeLock"

/** A wreath at the bench: one step at a time, one big counter, nothing lost. */
export function BenchScreen() {
  const id = Number(useParams().id)
  const wreath = useQuery({ queryKey: ["wreath", id], staleTime: Infinity, refetchOnMount: "always", retry: true, queryFn: async () => answered(await api.GET("/wreaths/{id}", { params: { path: { id } } })) }).data
  const work = useWork(wreath?.plan).data
  useEffect(() => {
    document.title = `Bench: ${wreath?.name ?? "wreath"} · Crisp Lantern`
  }, [wreath?.name])
  if (!wreath || !work) return <main className="p-6" aria-busy="true"><h1 className="text-2xl">Laying out the bench…</h1></main>
  if (!work.worked) return <main className="p-6"><h1 className="text-2xl">This wreath cannot be made yet</h1><ul>{work.problems.map((problem) => <li key={problem.at}>{problem.says}</li>)}</ul><p className="pt-3"><Link className="amber-button inline-block" to={`/wreaths/${id}/cover`}>Back to the plan</Link></p></main>
  return <AtTheBench wreath={wreath} worked={work.worked} />
}

function AtTheBench({ wreath, worked }: { wreath: Wreath; worked: WorkedPlan }) {
  const bench = useBench(wreath.id)
  const [finishing, setFinishing] = useState(false)
  const { steps } = worked
  const current = Math.max(steps.findIndex((step) => step.id === bench.place), 0)
  const step = steps[current]!
  const action = useRef<HTMLButtonElement>(null)
  const { happen } = bench
  useWakeLock()
  useSeconds(step.id, (seconds) => happen("time", step.id, seconds))

  const count = useCallback((amount: number) => {
    if (step.count !== undefined && (amount > 0 || (bench.counts[step.id] ?? 0) > 0)) happen("count", step.id, amount)
  }, [bench.counts, happen, step])
  const go = useCallback((index: number) => {
    const next = steps[index]
    if (next) happen("go", next.id, 0)
    else setFinishing(index >= steps.length)
  }, [happen, steps])

  useEffect(() => action.current?.focus(), [step.id, finishing])
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (finishing || (event.target as HTMLElement).matches("input, textarea, select") || event.ctrlKey || event.metaKey || event.altKey) return
      // Space always counts, so that one more than planned is counted too and does not turn the page.
      const counting = event.target === action.current && step.count !== undefined
      const own = (event.target as HTMLElement).matches("button, a") && !counting
      if (event.key === " " && !own) count(1)
      else if (event.key === "Backspace" || event.key === "-") count(-1)
      else if (event.key === "ArrowRight") go(current + 1)
      else if (event.key === "ArrowLeft") go(Math.max(current - 1, 0))
      else return
      event.preventDefault()
    }
    const up = (event: KeyboardEvent) => event.key === " " && event.target === action.current && step.count !== undefined && event.preventDefault()
    window.addEventListener("keydown", key)
    window.addEventListener("keyup", up)
    return () => {
      window.removeEventListener("keydown", key)
      window.removeEventListener("keyup", up)
    }
  }, [count, current, finishing, go, step])

  const minutes = Math.round(Object.values(bench.seconds).reduce((sum, each) => sum + each, 0) / 60)
  const alike = (wreath.plan.quantity ?? 1) > 1 ? `wreath ${bench.finished + 1} of ${wreath.plan.quantity}` : undefined
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <header className="flex flex-wrap items-baseline gap-x-4 px-4 py-3 sm:px-6">
        <h1 className="font-display text-xl font-bold">{wreath.name}</h1>
        <p className="text-quiet">{[alike, `step ${current + 1} of ${steps.length}`, `${minutes} min at the bench`].filter(Boolean).join(" · ")} · <span data-kept>{keptSays(bench)}</span></p>
        <Link className="ml-auto flex min-h-11 items-center underline" to={`/wreaths/${wreath.id}/cover`}>Leave the bench</Link>
      </header>
      {finishing ? <FinishForm wreath={wreath} waiting={bench.waiting} onBack={() => setFinishing(false)} onDone={bench.forget} /> : (
        <main className="grid min-h-0 flex-1 gap-6 px-4 pb-4 sm:px-6 lg:grid-cols-[minmax(0,10fr)_minmax(0,11fr)]" onClick={(event) => !(event.target as HTMLElement).closest("button, a") && count(1)}>
          <section aria-label="As far as it is made" className="flex h-64 min-h-0 flex-col rounded border border-base-300 bg-base-200 p-3 sm:h-96 lg:h-auto">
            <div className="min-h-0 flex-1"><Progress drawing={worked.drawing} materials={wreath.plan.materials ?? []} steps={steps} current={current} counts={bench.counts} label={`The wreath at step ${current + 1}: ${step.title}`} /></div>
            <p className="text-quiet">{left(worked, current, bench.counts)}</p>
          </section>
          <section aria-label="The step" className="flex min-h-0 flex-col gap-4 p-1 lg:overflow-y-auto" tabIndex={-1}>
            <h2 className="text-3xl">{step.title}</h2>
            {step.count !== undefined && <Counter step={step} count={bench.counts[step.id] ?? 0} />}
            <Actions step={step} count={bench.counts[step.id] ?? 0} last={current === steps.length - 1} first={current === 0} action={action} onCount={count} onGo={(by) => go(current + by)} />
            <p className="text-xl leading-snug"><Prose>{step.says}</Prose></p>
            {step.cautions?.map((says) => <p key={says} className="border-l-4 border-error pl-3 text-lg">{says}</p>)}
            <Move move={step.move} says={step.move_says} />
            {step.look && <p className="text-lg"><b>Before you go on:</b> <Prose>{step.look}</Prose></p>}
          </section>
        </main>
      )}
      {!finishing && <StepTape steps={steps} current={current} counts={bench.counts} onGo={go} />}
    </div>
  )
}

interface ActionsProps { step: Step; count: number; first: boolean; last: boolean; action: React.RefObject<HTMLButtonElement | null>; onCount: (amount: number) => void; onGo: (by: number) => void }

function Actions({ step, count, first, last, action, onCount, onGo }: ActionsProps) {
  const open = step.count !== undefined && count < step.count
  const next = last ? "Finish" : "Next step"
  const big = "min-h-24 rounded-lg text-2xl font-bold cursor-pointer"
  return (
    <div className="flex flex-wrap gap-3">
      {open
        ? <button ref={action} type="button" className={`${big} flex-[3] bg-primary px-6 text-primary-content`} onClick={() => onCount(1)}>One more<span className="block text-base font-normal">space, or touch anywhere</span></button>
        : <button ref={action} type="button" className={`${big} flex-[3] bg-primary px-6 text-primary-content`} onClick={() => onGo(1)}>{next}</button>}
      {step.count !== undefined && <button type="button" className={`${big} flex-1 border border-base-content px-4 !text-xl`} disabled={count === 0} onClick={() => onCount(-1)}>Take back</button>}
      <span className="flex w-full gap-3">
        <button type="button" className="plain-button min-h-11 flex-1" disabled={first} onClick={() => onGo(-1)}>Step before</button>
        {open && <button type="button" className="plain-button min-h-11 flex-1" onClick={() => onGo(1)}>{next}</button>}
        {step.count !== undefined && !open && <button type="button" className="plain-button min-h-11 flex-1" onClick={() => onCount(1)}>One more</button>}
      </span>
    </div>
  )
}

function keptSays({ waiting, away }: { waiting: number; away: boolean }): string {
  if (away) return "the server is away: kept on this table"
  return waiting > 0 ? "kept on this table, on its way" : "kept on this table and on the server"
}

function left(worked: WorkedPlan, current: number, counts: Record<string, number>): string {
  const minutes = worked.steps.slice(current).reduce((sum, step, i) => sum + step.minutes * (i === 0 && step.count ? Math.max(1 - (counts[step.id] ?? 0) / step.count, 0) : 1), 0)
  const all = worked.steps.reduce((sum, step) => sum + step.minutes, 0)
  return `${Math.round((1 - minutes / all) * 100)} hundredths of the way; about ${Math.ceil(minutes)} minutes to go`
}

/** Tells how long a step has had the maker's eyes, now and then and when it ends. */
function useSeconds(step: string, tell: (seconds: number) => void) {
  const telling = useRef(tell)
  useEffect(() => {
    telling.current = tell
  })
  useEffect(() => {
    let since = Date.now()
    const say = () => {
      const seconds = Math.round((Date.now() - since) / 1000)
      since = Date.now()
      // A lid that was closed is no time at the bench.
      if (seconds > 0 && seconds < 120) telling.current(seconds)
    }
    const again = window.setInterval(() => !document.hidden && say(), 20_000)
    const hide = () => (document.hidden ? say() : (since = Date.now()))
    document.addEventListener("visibilitychange", hide)
    return () => {
      window.clearInterval(again)
      document.removeEventListener("visibilitychange", hide)
      say()
    }
  }, [step])
}
