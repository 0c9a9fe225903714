import type { Step } from "../keep/client"

interface Props {
  step: Step
  count: number
  first: boolean
  last: boolean
  /** What comes next and what came before, where that is not the next step of this wreath. */
  next?: string
  before?: string
  action: React.RefObject<HTMLButtonElement | null>
  onCount: (amount: number) => void
  onGo: (by: number) => void
}

const BIG = "min-h-24 cursor-pointer rounded-lg font-bold"
const AMBER = `${BIG} flex-[3] bg-primary px-6 text-2xl text-primary-content`

/** One big thing to do, and the small ones beside it. */
export function Actions({ step, count, first, last, next: other, before, action, onCount, onGo }: Props) {
  const open = step.count !== undefined && count < step.count
  const next = other ?? (last ? "Finish" : "Next step")
  return (
    <div className="flex flex-wrap gap-3">
      {open ? (
        <button ref={action} type="button" className={AMBER} onClick={() => onCount(1)}>
          One more<span className="block text-base font-normal">space, or touch anywhere</span>
        </button>
      ) : (
        <button ref={action} type="button" className={AMBER} onClick={() => onGo(1)}>
          {next}
        </button>
      )}
      {step.count !== undefined && (
        <button
          type="button"
          className={`${BIG} flex-1 border border-base-content px-4 text-xl`}
          disabled={count === 0}
          onClick={() => onCount(-1)}
        >
          Take back
        </button>
      )}
      <span className="flex w-full gap-3">
        <button type="button" className="btn min-h-11 flex-1" disabled={first} onClick={() => onGo(-1)}>
          {before ?? "Step before"}
        </button>
        {open && (
          <button type="button" className="btn min-h-11 flex-1" onClick={() => onGo(1)}>
            {next}
          </button>
        )}
        {step.count !== undefined && !open && (
          <button type="button" className="btn min-h-11 flex-1" onClick={() => onCount(1)}>
            One more
          </button>
        )}
      </span>
    </div>
  )
}
