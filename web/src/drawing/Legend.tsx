import { memo } from "react"
import { Eye, EyeOff } from "lucide-react"
import type { Lie, Material, WorkedPlan } from "../keep/client"
import { colourOf } from "./Textures"

interface Props {
  worked: WorkedPlan
  materials: Material[]
  /** Ids of layers that are not drawn just now. */
  hidden: string[]
  onPoint: (index: number | undefined) => void
  onHide: (layer: string, away: boolean) => void
}

const AWAY = "text-quiet line-through"

/** What is drawn, and in what colours; pointing at it fades the others, and every layer can be hidden. */
export const Legend = memo(function Legend({ worked, materials, hidden, onPoint, onHide }: Props) {
  const lies = worked.drawing.layers
  const named = lies.map((lie, index) => ({ lie, index })).filter(({ lie }) => lie.unit !== "pinches")
  return (
    <ul className="legend" aria-label="What is drawn">
      {named.map(({ lie, index }) => {
        const away = hidden.includes(lie.layer)
        const first = named.find((each) => each.lie.layer === lie.layer)?.index === index
        return (
          <li key={`${lie.layer} ${lie.key}`} className="flex items-start gap-1">
            <button
              type="button"
              className={`flex cursor-pointer items-center gap-2 py-0.5 text-left ${away ? AWAY : ""}`}
              onMouseEnter={() => onPoint(index)}
              onMouseLeave={() => onPoint(undefined)}
              onFocus={() => onPoint(index)}
              onBlur={() => onPoint(undefined)}
            >
              <Colours lie={lie} materials={materials} />
              {wordsFor(lie)}
            </button>
            {first && (
              <button
                type="button"
                className="ml-auto grid h-6 w-6 cursor-pointer place-items-center text-quiet"
                aria-pressed={away}
                aria-label={`Hide ${wordsFor(lie)}`}
                onClick={() => onHide(lie.layer, !away)}
              >
                {away ? <EyeOff size={15} aria-hidden="true" /> : <Eye size={15} aria-hidden="true" />}
              </button>
            )}
          </li>
        )
      })}
    </ul>
  )
})

const wordsFor = (lie: Lie) => (lie.front.length > 0 ? `${lie.front.length} ${lie.what}` : `${lie.what}, behind`)

function Colours({ lie, materials }: { lie: Lie; materials: Material[] }) {
  return (
    <span className="flex shrink-0">
      {(lie.materials.length > 0 ? lie.materials.slice(0, 3) : [""]).map((id) => (
        <span
          key={id}
          className="h-3 w-5 rounded-full border border-neutral/60 not-first:-ml-2"
          style={{
            background: lie.more
              ? "var(--color-primary)"
              : colourOf(materials.find((material) => material.id === id)),
          }}
        />
      ))}
    </span>
  )
}
