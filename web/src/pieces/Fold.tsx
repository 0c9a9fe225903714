import { useState, type ReactNode } from "react"

interface Props {
  summary: string
  /** There is something in it: it stands open when it is first seen, and opens when something comes into it. */
  begin?: boolean
  /** Something in it cannot be left unseen: it opens for that too. */
  urgent?: boolean
  className?: string
  children: ReactNode
}

/** Something folded away. It closes only by the maker's hand: what is typed in it never closes it. */
export function Fold({ summary, begin = false, urgent = false, className = "pt-1", children }: Props) {
  const wanted = begin || urgent
  const [open, setOpen] = useState(wanted)
  const [wasWanted, setWasWanted] = useState(wanted)
  if (wanted !== wasWanted) {
    setWasWanted(wanted)
    if (wanted) setOpen(true)
  }
  return (
    <details className={className} open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer py-2 font-semibold">{summary}</summary>
      {children}
    </details>
  )
}
