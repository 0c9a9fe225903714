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
import { rectSortingStrategy, SortableContext, sortableKeyboardCoordinates, useSortable } from "@dnd-kit/sortable"
import { CSS } from "@dnd-kit/utilities"
import { GripVertical } from "lucide-react"

const GRIP =
  "grip grid min-h-9 w-7 cursor-grab touch-none place-items-center text-quiet focus-visible:-outline-offset-3"

interface Props {
  /** The layers in the order in which they are laid. */
  layers: { id: string; says: string }[]
  chosen: number
  onChoose: (place: number) => void
  onMove: (from: number, to: number) => void
}

/** The layers of a stage: one is chosen, and each can be moved, by hand or with the keys. */
export function LayerOrder({ layers, chosen, onChoose, onMove }: Props) {
  const sensors = useSensors(
    // A tap chooses; only what is pulled is moved.
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const placeOf = (id: unknown) => layers.findIndex((layer) => layer.id === id)
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(placeOf(active.id), placeOf(over.id))
  }
  return (
    <fieldset className="pb-2">
      <legend className="sr-only">Layer</legend>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={dropped}
        accessibility={{ announcements: spoken(layers), screenReaderInstructions: HOW }}
      >
        <SortableContext items={layers.map(({ id }) => id)} strategy={rectSortingStrategy}>
          <ol className="flex flex-wrap gap-2">
            {layers.map((layer, place) => (
              <Chip
                key={layer.id}
                id={layer.id}
                says={layer.says}
                place={place}
                chosen={place === chosen}
                onChoose={() => onChoose(place)}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </fieldset>
  )
}

const HOW = {
  draggable: "Press Space to take it up, the arrow keys to move it, Space to put it down, Escape to leave it.",
}

/** What a screen reader hears while a layer is moved. */
function spoken(layers: Props["layers"]): Announcements {
  const name = (id: unknown) => layers.find((layer) => layer.id === id)?.says ?? ""
  const place = (id: unknown) => `${layers.findIndex((layer) => layer.id === id) + 1} of ${layers.length}`
  return {
    onDragStart: ({ active }) => `${name(active.id)} is taken up: ${place(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over && over.id !== active.id ? `${name(active.id)} comes to ${place(over.id)}.` : undefined,
    onDragEnd: ({ active, over }) => (over ? `${name(active.id)} is laid as ${place(over.id)}.` : undefined),
    onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
  }
}

interface ChipProps {
  id: string
  says: string
  place: number
  chosen: boolean
  onChoose: () => void
}

function Chip({ id, says, place, chosen, onChoose }: ChipProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id })
  return (
    <li
      ref={setNodeRef}
      className={`layer-chip ${isDragging ? "z-10 border-primary" : ""}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <button type="button" className={GRIP} {...attributes} {...listeners} aria-label={`Move ${says}`}>
        <GripVertical size={16} aria-hidden="true" />
      </button>
      <label>
        <input
          type="radio"
          className="peer sr-only"
          name="layer"
          value={String(place)}
          checked={chosen}
          onChange={onChoose}
        />
        <span>{`${place + 1}. ${says}`}</span>
      </label>
    </li>
  )
}
