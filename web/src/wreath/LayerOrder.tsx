import { rectSortingStrategy, useSortable } from "@dnd-kit/sortable"
import { CSS } from "@dnd-kit/utilities"
import { Grip, Sorting } from "../pieces/Sorting"

interface Props {
  /** The layers in the order in which they are laid. */
  layers: { id: string; says: string }[]
  chosen: number
  onChoose: (place: number) => void
  onMove: (from: number, to: number) => void
}

/** The layers of a stage: one is chosen, and each can be moved, by hand or with the keys. */
export function LayerOrder({ layers, chosen, onChoose, onMove }: Props) {
  return (
    <fieldset className="pb-2">
      <legend className="sr-only">Layer</legend>
      <Sorting items={layers} strategy={rectSortingStrategy} onMove={onMove}>
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
      </Sorting>
    </fieldset>
  )
}

interface ChipProps {
  id: string
  says: string
  place: number
  chosen: boolean
  onChoose: () => void
}

function Chip({ id, says, place, chosen, onChoose }: ChipProps) {
  const sortable = useSortable({ id })
  const { setNodeRef, transform, transition, isDragging } = sortable
  return (
    <li
      ref={setNodeRef}
      className={`layer-chip ${isDragging ? "z-10 border-primary" : ""}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <Grip sortable={sortable} says={says} />
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
