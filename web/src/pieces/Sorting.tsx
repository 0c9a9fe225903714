import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from "@dnd-kit/core"
import {
  SortableContext,
  sortableKeyboardCoordinates,
  type SortingStrategy,
  type useSortable,
} from "@dnd-kit/sortable"
import { GripVertical } from "lucide-react"
import type { ReactNode } from "react"

const GRIP =
  "grip grid min-h-9 w-7 cursor-grab touch-none place-items-center text-quiet focus-visible:-outline-offset-3"

interface Props {
  /** In their order; what is called by its words where it is moved. */
  items: { id: string; says: string }[]
  strategy: SortingStrategy
  onMove: (from: number, to: number) => void
  children: ReactNode
}

/** A list whose items are moved by hand, or with the keys, and told where they are. */
export function Sorting({ items, strategy, onMove, children }: Props) {
  const sensors = useSensors(
    // A tap chooses; only what is pulled is moved.
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const placeOf = (id: unknown) => items.findIndex((item) => item.id === id)
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(placeOf(active.id), placeOf(over.id))
  }
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={dropped}
      accessibility={{ announcements: spoken(items), screenReaderInstructions: HOW }}
    >
      <SortableContext items={items.map(({ id }) => id)} strategy={strategy}>
        {children}
      </SortableContext>
    </DndContext>
  )
}

/** What an item is taken up by. */
export function Grip({ sortable, says }: { sortable: ReturnType<typeof useSortable>; says: string }) {
  return (
    <button
      type="button"
      className={GRIP}
      {...sortable.attributes}
      {...sortable.listeners}
      aria-label={`Move ${says}`}
    >
      <GripVertical size={16} aria-hidden="true" />
    </button>
  )
}

const HOW = {
  draggable: "Press Space to take it up, the arrow keys to move it, Space to put it down, Escape to leave it.",
}

/** What a screen reader hears while one is moved. */
function spoken(items: Props["items"]): Announcements {
  const name = (id: unknown) => items.find((item) => item.id === id)?.says ?? ""
  const place = (id: unknown) => `${items.findIndex((item) => item.id === id) + 1} of ${items.length}`
  return {
    onDragStart: ({ active }) => `${name(active.id)} is taken up: ${place(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over && over.id !== active.id ? `${name(active.id)} comes to ${place(over.id)}.` : undefined,
    onDragEnd: ({ active, over }) => (over ? `${name(active.id)} is laid as ${place(over.id)}.` : undefined),
    onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
  }
}
