import type { Step } from "../keep/client"
import { Marks } from "../wreath/Tape"

interface Props {
  steps: Step[]
  current: number
  counts: Record<string, number>
  onGo: (index: number) => void
}

const HERE = "font-bold underline decoration-primary decoration-3 underline-offset-4"

/** The steps along the tape: done, current, to come. */
export function StepTape({ steps, current, counts, onGo }: Props) {
  return (
    <nav aria-label="Steps" className="border-t border-base-content bg-accent text-accent-content">
      <Marks />
      <ol className="flex overflow-x-auto px-4 pb-2 sm:px-6">
        {steps.map((step, index) => (
          <li key={step.id} className="min-w-32 flex-1 border-l border-base-content/35">
            <button
              type="button"
              className="min-h-11 w-full cursor-pointer px-3 py-1 text-left"
              aria-current={index === current ? "step" : undefined}
              onClick={() => onGo(index)}
            >
              <span className={`block leading-tight ${index === current ? HERE : "font-semibold"}`}>
                {index < current && "✓ "}
                {step.title}
              </span>
              <span className="block text-sm">
                {step.count ? `${counts[step.id] ?? 0} of ${step.count}` : `${Math.round(step.minutes)} min`}
              </span>
            </button>
          </li>
        ))}
      </ol>
    </nav>
  )
}
