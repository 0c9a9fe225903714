import { answered, api, type Declarations, type Plan, type Units } from "../keep/client"
import { useForms } from "../keep/queries"
import { Sketch } from "../form/ShapePicker"

type Form = Plan["form"]
type Shape = Declarations["forms"]["shapes"][number]

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
  const shapeOf = (form: Form) => shapes.find(({ name }) => name === form.shape)
  return (
    <section aria-label="Which form?">
      <h2 className="pt-2 text-xl">Which form?</h2>
      <div className="grid grid-cols-2 gap-3 pt-2 sm:grid-cols-4 lg:grid-cols-6">
        {own.map((each) => (
          <Tile
            key={`own ${each.id}`}
            says={each.name}
            note="yours"
            shape={shapeOf(each.form)}
            onChoose={() => void choose(each.form, each.units as Units)}
          />
        ))}
        {shelf.map((each) => (
          <Tile
            key={each.name}
            says={each.name}
            shape={shapeOf(each.form)}
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
            shape={shape}
            onChoose={() => onChoose({ base: "wire", shape: shape.name, ...shape.typical })}
          />
        ))}
      </div>
    </section>
  )
}

interface TileProps {
  says: string
  note?: string
  shape?: Shape
  onChoose: () => void
}

function Tile({ says, note, shape, onChoose }: TileProps) {
  return (
    <button
      type="button"
      className="flex min-h-24 cursor-pointer flex-col items-center justify-center gap-2 border-b border-base-300 p-2
        text-center text-sm hover:border-primary"
      onClick={onChoose}
    >
      {shape && <Sketch shape={shape} large />}
      <span>
        {says}
        {note && <span className="text-quiet"> · {note}</span>}
      </span>
    </button>
  )
}
