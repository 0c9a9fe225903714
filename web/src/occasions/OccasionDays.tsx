import type { Field as Declared, Problem as Said, WorkedOccasion } from "../keep/client"
import { useDeclarations } from "../keep/queries"
import { FieldControl } from "../pieces/FieldControl"
import { MoneyTerms } from "../pieces/MoneyTerms"
import { dayText, hoursText } from "./days"
import { Evenings } from "./Evenings"
import type { OccasionSaid } from "./useOccasion"

interface Props {
  said: OccasionSaid
  problems: Said[]
  keep: (said: OccasionSaid) => void
  worked?: WorkedOccasion
}

/** The day, when there is time, what it may cost; and the days that follow from it. */
export function Days({ said, problems, keep, worked }: Props) {
  const declarations = useDeclarations().data
  const declared = declarations?.occasion ?? []
  const own: Record<string, unknown> = said.occasion
  const change = (name: string, value: unknown) => {
    const { [name]: _, ...rest } = own
    keep({ ...said, occasion: value === undefined ? rest : { ...rest, [name]: value } })
  }
  const control = (name: string) => {
    const field = declared.find((each) => each.name === name)
    const problem = problems.find((each) => each.at === name)?.says
    if (!field) return null
    return <Said field={field} value={own[name]} problem={problem} onChange={(value) => change(name, value)} />
  }
  return (
    <div className="grid gap-8 lg:grid-cols-2">
      <section aria-label="When there is time">
        {control("day")}
        {control("budget")}
        <Evenings
          field={declared.find((each) => each.name === "evenings")}
          value={said.occasion.evenings ?? []}
          onChange={(value) => change("evenings", value)}
        />
        {control("hours")}
        {control("drying")}
        {control("delivery")}
        <MoneyTerms
          fields={declarations?.money ?? []}
          money={said.occasion.money}
          problems={problems}
          onChange={(money) => change("money", money)}
        />
      </section>
      <section aria-label="Days">
        <Waiting worked={worked} onSale={() => change("money", { ...said.occasion.money, sale: true })} />
        <Course worked={worked} />
      </section>
    </div>
  )
}

interface SaidProps {
  field: Declared
  value: unknown
  problem?: string
  onChange: (value: unknown) => void
}

function Said({ field, value, problem, onChange }: SaidProps) {
  const fallback = field.default === undefined ? undefined : String(field.default)
  return (
    <FieldControl
      field={field}
      place={field.name}
      value={value}
      problem={problem}
      fallback={fallback}
      onChange={onChange}
    />
  )
}

/** Whether it is worth waiting for the next sale. */
function Waiting({ worked, onSale }: { worked?: WorkedOccasion; onSale: () => void }) {
  if (!worked?.waiting) return null
  return (
    <p className="mb-3 border-l-4 border-primary pl-3">
      {worked.waiting.says} <span className="text-sm text-quiet">Sale weeks are those of the simulated shop.</span>{" "}
      {worked.waiting.in_time && (
        <button type="button" className="btn" onClick={onSale}>
          Buy at sale prices
        </button>
      )}
    </p>
  )
}

/** The days that have a name, and the evenings between them. */
function Course({ worked }: { worked?: WorkedOccasion }) {
  if (!worked?.dates) {
    return (
      <p className="text-quiet">
        Say which day they hang, and the days to buy, to begin and to be done are worked out.
      </p>
    )
  }
  const { buy_by, make_by, day, evenings } = worked.dates
  return (
    <ol>
      <Day day={buy_by} says="Buy by" strong />
      {evenings.map((evening) => (
        <Day key={evening.day} day={evening.day} says={`Bench, ${hoursText(evening.minutes)}`} />
      ))}
      <Day day={make_by} says="Everything made" strong />
      <Day day={day} says="They hang" strong />
    </ol>
  )
}

function Day({ day, says, strong }: { day: string; says: string; strong?: boolean }) {
  return (
    <li className={`flex justify-between border-b border-base-300 py-1 ${strong ? "font-semibold" : "pl-4"}`}>
      <span>{says}</span>
      <time dateTime={day}>{dayText(day, true)}</time>
    </li>
  )
}
