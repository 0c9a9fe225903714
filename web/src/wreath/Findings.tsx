import { useWork } from "../keep/queries"
import type { Finding, Plan, WorkedPlan } from "../keep/client"
import { Prose } from "../pieces/Prose"
import { freshId } from "./layers"
import { put } from "./places"

interface Props {
  findings: Finding[]
  /** Where the options that a finding may change stand. */
  place: string
  plan: Plan
  worked: WorkedPlan
  onChange: (plan: Plan) => void
}

const edges: Record<Finding["level"], string> = {
  stop: "border-error",
  warn: "border-primary",
  note: "border-base-300",
}

/** Judgements with their reason, each carrying the change that mends it and what that change does. */
export function Findings({ findings, place, plan, worked, onChange }: Props) {
  const weight = { stop: 0, warn: 1, note: 2 }
  return (
    <ul className="flex flex-col gap-2 py-2" aria-label="Findings">
      {[...findings]
        .sort((a, b) => weight[a.level] - weight[b.level])
        .map((finding) => (
          <li key={finding.code} className={`border-l-4 pl-3 ${edges[finding.level]}`}>
            <p className={finding.level === "note" ? "text-sm text-quiet" : ""}>
              <Prose>{finding.says}</Prose>
            </p>
            {(finding.try || finding.add) && (
              <Mend finding={finding} place={place} plan={plan} worked={worked} onChange={onChange} />
            )}
          </li>
        ))}
    </ul>
  )
}

function Mend({ finding, place, plan, worked, onChange }: Omit<Props, "findings"> & { finding: Finding }) {
  const mended = mendedBy(finding, plan, place)
  const { data } = useWork(mended)
  const words = Object.entries(finding.try ?? {})
    .map(([name, value]) => `${name.replaceAll("_", " ")}: ${String(value).replaceAll("_", " ")}`)
    .join(", ")
  return (
    <p className="mt-1 flex flex-wrap items-center gap-3">
      <button
        type="button"
        className={finding.level === "note" ? "plain-button" : "amber-button"}
        onClick={() => onChange(mended)}
      >
        {finding.add ? "Cover it too" : `Change to ${words}`}
      </button>
      {data?.worked && <span className="text-sm text-quiet">{effect(worked, data.worked)}</span>}
    </p>
  )
}

/** The plan with what a finding offers: options changed, or a layer more. */
function mendedBy({ try: changes, add }: Finding, plan: Plan, place: string): Plan {
  const layers = plan.layers ?? []
  if (add) return { ...plan, layers: [...layers, { id: freshId(layers), ...add }] }
  return Object.entries(changes ?? {}).reduce(
    (changed, [name, value]) => put(changed, `${place}.${name}`, value),
    plan,
  )
}

/** What a change does to the money and the time, in words. */
function effect(before: WorkedPlan, after: WorkedPlan): string {
  const cost =
    before.cost.to_buy === after.cost.to_buy
      ? "same packages"
      : `${after.cost.to_buy} to pay instead of ${before.cost.to_buy}`
  const minutes = after.minutes - before.minutes
  return minutes === 0 ? cost : `${cost}, ${Math.abs(minutes)} min ${minutes > 0 ? "more" : "less"}`
}
