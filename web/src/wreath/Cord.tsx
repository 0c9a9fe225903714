import { Check } from "lucide-react"
import { NavLink } from "react-router"
import type { WorkedPlan } from "../api/client"

export const stages = [
  { stage: "form", says: "Form" },
  { stage: "cover", says: "Cover" },
  { stage: "trim", says: "Trim" },
  { stage: "hang", says: "Hang" },
  { stage: "cut", says: "Cut" },
  { stage: "buy", says: "Buy" },
  { stage: "bench", says: "Bench" },
] as const

/** The stages as knots on a cord, in the order of the work: settled, current, open. */
export function Cord({ current, settled, made }: { current: string; settled?: WorkedPlan["stages"]; made?: boolean }) {
  return (
    <nav aria-label="Stages" className="no-print relative px-4 sm:px-6">
      <svg className="absolute inset-x-4 top-1.5 h-3 w-[calc(100%-2rem)] sm:inset-x-6 sm:w-[calc(100%-3rem)]" preserveAspectRatio="none" viewBox="0 0 400 6" aria-hidden="true">
        <path d="M0 3 Q25 1.6 50 3 T100 3 T150 3 T200 3 T250 3 T300 3 T350 3 T400 3" fill="none" stroke="#6f5a36" strokeWidth="3.4" vectorEffect="non-scaling-stroke" />
        <path d="M0 3 Q25 1.6 50 3 T100 3 T150 3 T200 3 T250 3 T300 3 T350 3 T400 3" fill="none" stroke="#d2bb8c" strokeWidth="2.2" strokeDasharray="5 2.5" vectorEffect="non-scaling-stroke" />
      </svg>
      <ol className="relative grid grid-cols-7">
        {stages.map(({ stage, says }) => {
          const done = stage === "bench" ? made === true : (settled?.[stage] ?? false)
          const here = stage === current
          return (
            <li key={stage}>
              <NavLink to={`../${stage}`} relative="path" className="flex flex-col items-center gap-0.5 pb-1">
                <span className={`flex h-6 w-6 items-center justify-center rounded-full border-2 border-base-content ${here ? "scale-110 bg-primary" : done ? "bg-secondary text-secondary-content" : "bg-base-200"}`}>
                  {done && !here && <Check size={14} strokeWidth={3} aria-hidden="true" />}
                </span>
                <span className={`text-sm sm:text-base ${here ? "font-bold" : "text-quiet"}`}>{says}<span className="sr-only">{done ? ", settled" : ", open"}</span></span>
              </NavLink>
            </li>
          )
        })}
      </ol>
    </nav>
  )
}
