import { Link } from "react-router"
import type { WorkedOccasion } from "../keep/client"
import { hoursText } from "./days"

type Round = WorkedOccasion["rounds"][number]

interface Props {
  id: number
  worked: WorkedOccasion
  /** Its wreaths, in the order of their plans. */
  planned: number[]
}

/** One step for all wreaths, then the next: each is counted at its own wreath's bench. */
export function OccasionBench({ id, worked, planned }: Props) {
  return (
    <section aria-label="Bench">
      <p className="pb-3 text-quiet">
        One step for all of them, then the next. A step opens at its wreath’s bench; from there you go on to the next
        wreath.
      </p>
      <ol>
        {worked.rounds.map((round) => (
          <li key={round.key} className="border-b border-base-300 py-2">
            <div className="flex flex-wrap items-baseline gap-x-4">
              <h2 className="text-lg">{round.title}</h2>
              <span className="text-quiet">
                {wreathsSays(round)}, {hoursText(round.minutes)}
              </span>
            </div>
            <ul className="flex flex-wrap gap-x-6">
              {round.steps.map((step) => (
                <li key={step.number}>
                  <Link
                    className="inline-flex min-h-11 items-center gap-2 underline"
                    to={benchOf(planned[step.number - 1] ?? 0, step.step, id, round.key)}
                  >
                    {worked.hand_out[step.number - 1]?.wreath}
                    {step.count !== undefined && (
                      <span className="text-quiet">
                        {step.count} {step.unit}
                      </span>
                    )}
                  </Link>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </section>
  )
}

const benchOf = (wreath: number, step: string, occasion: number, round: string) =>
  `/wreaths/${wreath}/bench?${new URLSearchParams({ step, occasion: String(occasion), round })}`

const wreathsSays = ({ steps }: Round) => (steps.length === 1 ? "1 wreath" : `${steps.length} wreaths`)
