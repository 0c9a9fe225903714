import { memo } from "react"
import { Check } from "lucide-react"
import { NavLink } from "react-router"
import type { Declarations, WorkedPlan } from "../keep/client"

interface Props {
  stages: Declarations["stages"]
  current: string
  settled?: WorkedPlan["stages"]
  made: boolean
}

const STRAND = "M0 3 Q25 1.6 50 3 T100 3 T150 3 T200 3 T250 3 T300 3 T350 3 T400 3"

/** The stages as knots on a cord, in the order of the work: settled, current, open. */
export const Cord = memo(function Cord({ stages, current, settled, made }: Props) {
  return (
    <nav aria-label="Stages" className="no-print relative px-4 sm:px-6">
      <svg
        className="absolute inset-x-4 top-1.5 h-3 w-[calc(100%-2rem)] sm:inset-x-6 sm:w-[calc(100%-3rem)]"
        preserveAspectRatio="none"
        viewBox="0 0 400 6"
        aria-hidden="true"
      >
        <g fill="none" strokeWidth="3.4">
          <path d={STRAND} stroke="var(--cord-edge)" vectorEffect="non-scaling-stroke" />
          <path
            d={STRAND}
            stroke="var(--cord-light)"
            strokeWidth="2.2"
            strokeDasharray="5 2.5"
            vectorEffect="non-scaling-stroke"
          />
        </g>
      </svg>
      <ol className="relative grid grid-cols-7">
        {stages.map(({ key, title }) => (
          <Knot
            key={key}
            stage={key}
            title={title}
            here={key === current}
            done={key === "bench" ? made : settled?.[key] === true}
          />
        ))}
      </ol>
    </nav>
  )
})

function Knot({ stage, title, here, done }: { stage: string; title: string; here: boolean; done: boolean }) {
  const look = here ? "scale-110 bg-primary" : done ? "bg-secondary text-secondary-content" : "bg-base-200"
  return (
    <li>
      <NavLink to={`../${stage}`} relative="path" className="flex flex-col items-center gap-0.5 pb-1">
        <span
          className={`flex h-6 w-6 items-center justify-center rounded-full border-2 border-base-content ${look}`}
        >
          {done && !here && <Check size={14} strokeWidth={3} aria-hidden="true" />}
        </span>
        <span className={`text-sm sm:text-base ${here ? "font-bold" : "text-quiet"}`}>
          {title}
          <span className="sr-only">{done ? ", settled" : ", open"}</span>
        </span>
      </NavLink>
    </li>
  )
}
