import type { ReactNode } from "react"

interface Props {
  /** What is tapped. */
  says: string
  /** How often it was. */
  taps: number
  chosen: boolean
  /** What came of it, or how many taps are wanted. */
  children: ReactNode
  onChoose: () => void
  onUndo: () => void
}

/** One thing that is tapped on a photo: chosen, with what came of it, and one tap taken back. */
export function TargetRow({ says, taps, chosen, children, onChoose, onUndo }: Props) {
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-base-300 py-1">
      <button
        type="button"
        aria-pressed={chosen}
        className={`min-h-8 cursor-pointer text-left ${chosen ? "font-semibold underline" : ""}`}
        onClick={onChoose}
      >
        {says}
      </button>
      <span className="ml-auto text-right">{children}</span>
      {taps > 0 && (
        <button type="button" className="link text-sm" onClick={onUndo} aria-label={`One tap back: ${says}`}>
          Back
        </button>
      )}
    </li>
  )
}
