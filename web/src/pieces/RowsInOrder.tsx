import { useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable"
import { CSS } from "@dnd-kit/utilities"
import { Children, type ReactNode } from "react"
import { Grip, Sorting } from "./Sorting"

interface Props {
  /** What one of them is called. */
  word: string
  onMove: (from: number, to: number) => void
  children: ReactNode
}

/** Rows beneath one another; where there are several each can be moved among the others. */
export function RowsInOrder({ word, onMove, children }: Props) {
  const rows = Children.toArray(children)
  const says = (index: number) => `${word} ${index + 1}`
  return (
    <Sorting
      items={rows.map((_, index) => ({ id: String(index + 1), says: says(index) }))}
      strategy={verticalListSortingStrategy}
      onMove={onMove}
    >
      {rows.map((row, index) => (
        <Row key={index} id={String(index + 1)} says={rows.length > 1 ? says(index) : undefined}>
          {row}
        </Row>
      ))}
    </Sorting>
  )
}

function Row({ id, says, children }: { id: string; says?: string; children: ReactNode }) {
  const sortable = useSortable({ id, disabled: says === undefined })
  const { setNodeRef, transform, transition, isDragging } = sortable
  return (
    <div
      ref={setNodeRef}
      className={`flex border-b border-base-300 ${isDragging ? "z-10 bg-base-200" : ""}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      {says && <Grip sortable={sortable} says={says} />}
      <div className="min-w-0 flex-1 pl-3">{children}</div>
    </div>
  )
}
