import { useState } from "react"
import type { Answer, Plan, WorkedPlan } from "../keep/client"
import { useQuestion } from "../keep/useQuestion"
import { Fold } from "../pieces/Fold"
import { Prose } from "../pieces/Prose"
import { ranked, type Judgement } from "./judgements"
import { money } from "../pieces/money"

interface Props {
  judgements: Judgement[]
  plan: Plan
  worked: WorkedPlan
  onChange: (plan: Plan) => void
}

/** As many stand open. */
const OPEN = 3

const edges: Record<Judgement["level"], string> = {
  stop: "border-error",
  warn: "border-primary",
  advice: "border-secondary",
  note: "border-base-300",
}

/** The three that matter first; the rest are folded. */
export function Findings({ judgements, plan, worked, onChange }: Props) {
  const all = ranked(judgements)
  const [made, setMade] = useState<{ before: Plan; after: Plan }>()
  const change = (next: Plan) => {
    setMade({ before: plan, after: next })
    onChange(next)
  }
  const rest = all.slice(OPEN)
  const list = (some: Judgement[]) => (
    <ul className="flex flex-col gap-2 py-2" aria-label="Findings">
      {some.map((each) => (
        <One key={each.key} judgement={each} worked={worked} onChange={change} />
      ))}
    </ul>
  )
  return (
    <>
      {all.length > 0 && list(all.slice(0, OPEN))}
      {rest.length > 0 && (
        <Fold summary={rest.length === 1 ? "1 more note" : `${rest.length} more notes`}>{list(rest)}</Fold>
      )}
      {made && sameLayers(made.after, plan) && (
        <p role="status" className="py-1 text-sm">
          Done.{" "}
          <button
            type="button"
            className="link"
            onClick={() => {
              onChange(made.before)
              setMade(undefined)
            }}
          >
            Take it back
          </button>
        </p>
      )}
    </>
  )
}

const sameLayers = (one: Plan, other: Plan) => JSON.stringify(one.layers) === JSON.stringify(other.layers)

interface OneProps {
  judgement: Judgement
  worked: WorkedPlan
  onChange: (plan: Plan) => void
}

function One({ judgement, worked, onChange }: OneProps) {
  const { level, says, look, mend } = judgement
  return (
    <li className={`border-l-4 pl-3 ${edges[level]}`}>
      <p className={level === "note" ? "text-sm text-quiet" : ""}>
        <Prose>{says}</Prose>
      </p>
      {look.length > 0 && (
        <p className="text-sm text-quiet">
          <Prose>{look.map((each) => `${each.says}: ${each.before} → ${each.after}`).join(" · ")}</Prose>
        </p>
      )}
      {mend && <Mend mend={mend} level={level} worked={worked} onChange={onChange} />}
    </li>
  )
}

interface MendProps {
  mend: NonNullable<Judgement["mend"]>
  level: Judgement["level"]
  worked: WorkedPlan
  onChange: (plan: Plan) => void
}

/** The change as one button, with what it does. */
function Mend({ mend, level, worked, onChange }: MendProps) {
  const { data: totals } = useQuestion("/ask/totals", mend.plan)
  return (
    <p className="mt-1 flex flex-wrap items-center gap-3">
      <button
        type="button"
        className={level === "stop" || level === "warn" ? "btn btn-primary" : "btn"}
        onClick={() => onChange(mend.plan)}
      >
        <Prose>{mend.says}</Prose>
      </button>
      {totals && <span className="text-sm text-quiet">{effect(worked, totals)}</span>}
    </p>
  )
}

/** What a change does to the money and the time, in words. */
function effect(before: WorkedPlan, after: Answer<"/ask/totals">): string {
  const cost =
    before.cost.to_buy === after.to_buy
      ? "same packages"
      : `${money(after.to_buy)} to pay instead of ${money(before.cost.to_buy)}`
  const minutes = after.minutes - before.minutes
  return minutes === 0 ? cost : `${cost}, ${Math.abs(minutes)} min ${minutes > 0 ? "more" : "less"}`
}
