import type { ReactNode } from "react"
import { answered, api, type Declarations, type Plan, type Units } from "../keep/client"
import { useForms } from "../keep/queries"
import { FormLines } from "../drawing/FormLines"
import { Sketch } from "../form/ShapePicker"

type Form = Plan["form"]
type Drawn = Declarations["forms"]["shelf"][number]["drawing"]

interface Props {
  declarations: Declarations
  units: Units
  onChoose: (form: Form) => void
}

/** Which form? The maker’s own and those that shops sell first, then every shape, drawn. */
export function ChooseForm({ declarations, units, onChoose }: Props) {
  const { shapes, shelf } = declarations.forms
  const own = useForms().data ?? []
  const choose = async (form: Form, saidIn: Units) => {
    if (saidIn === units) return onChoose(form)
    const plan = { format: "crisp-lantern/plan", version: 1, units: saidIn, form } as const
    onChoose(answered(await api.POST("/ask/units", { body: { plan, to: units } })).form)
  }
  // The ring that is twice as wide is drawn twice as wide.
  const scale = Math.max(...[...own, ...shelf].flatMap(({ drawing }) => (drawing ? sizesOf(drawing) : [])))
  return (
    <section aria-label="Which form?">
      <h2 className="pt-2 text-xl">Which form?</h2>
      <div className="grid grid-cols-2 gap-3 pt-2 sm:grid-cols-4 lg:grid-cols-6">
        {own.map((each) => (
          <Tile
            key={`own ${each.id}`}
            says={each.name}
            note="yours"
            picture={<AsItIs drawing={each.drawing} scale={scale} />}
            onChoose={() => void choose(each.form, each.units as Units)}
          />
        ))}
        {shelf.map((each) => (
          <Tile
            key={each.name}
            says={each.name}
            picture={<AsItIs drawing={each.drawing} scale={scale} />}
            onChoose={() => void choose(each.form, "in")}
          />
        ))}
      </div>
      <h3 className="pt-4 text-lg">Or by its shape</h3>
      <div className="grid grid-cols-3 gap-3 pt-2 sm:grid-cols-5 lg:grid-cols-7">
        {shapes.map((shape) => (
          <Tile
            key={shape.name}
            says={shape.title}
            picture={<Sketch shape={shape} large />}
            onChoose={() => onChoose({ base: "wire", shape: shape.name, ...shape.typical })}
          />
        ))}
      </div>
    </section>
  )
}

const sizesOf = ({ box: [left = 0, top = 0, right = 1, bottom = 1] }: NonNullable<Drawn>) => [
  right - left,
  bottom - top,
]

/** A form as what it is, in a square that is so many inches wide. */
function AsItIs({ drawing, scale }: { drawing: Drawn; scale: number }) {
  if (!drawing) return null
  const [left = 0, top = 0, right = 1, bottom = 1] = drawing.box
  const wide = scale * 1.02
  const corner = [(left + right - wide) / 2, (top + bottom - wide) / 2]
  return (
    <svg viewBox={[...corner, wide, wide].join(" ")} className="h-28 w-28" aria-hidden="true">
      <FormLines form={drawing} atLeast={wide / 112} />
    </svg>
  )
}

interface TileProps {
  says: string
  note?: string
  picture: ReactNode
  onChoose: () => void
}

function Tile({ says, note, picture, onChoose }: TileProps) {
  return (
    <button
      type="button"
      className="flex min-h-24 cursor-pointer flex-col items-center justify-center gap-2 border-b border-base-300 p-2
        text-center text-sm hover:border-primary"
      onClick={onChoose}
    >
      {picture}
      <span>
        {says}
        {note && <span className="text-quiet"> · {note}</span>}
      </span>
    </button>
  )
}
