import { useStash, useTemplates } from "../keep/queries"
import { RecordList } from "../pieces/RecordList"
import { Working } from "../pieces/Working"
import { LayersStage } from "./LayersStage"
import type { StageProps } from "./stageProps"

/** What it hangs by, what covers its back, templates at true size, and the glue it all takes. */
export function HangStage(props: StageProps) {
  return (
    <LayersStage {...props} stage="hang">
      <Templates id={props.id} units={props.plan.units} />
      <Supplies {...props} />
      <OwnSteps {...props} />
    </LayersStage>
  )
}

function Templates({ id, units }: { id: number; units: string }) {
  const templates = useTemplates(id).data ?? []
  if (templates.length === 0) return null
  const paper = units === "in" ? "letter" : "a4"
  return (
    <div className="pt-5">
      <h3 className="text-lg">Templates at true size</h3>
      <ul>
        {templates.map((each) => (
          <li key={each.name} className="row">
            <span>
              {each.title}
              <span className="block text-sm text-quiet">{each.says}</span>
            </span>
            <span className="flex gap-2">
              <a
                className="plain-button"
                href={`/api/wreaths/${id}/template.pdf?part=${each.name}&paper=${paper}`}
                download
                aria-label={`${each.title} as PDF`}
              >
                PDF
              </a>
              <a
                className="plain-button"
                href={`/api/wreaths/${id}/template.svg?part=${each.name}`}
                download
                aria-label={`${each.title} as SVG`}
              >
                SVG
              </a>
            </span>
          </li>
        ))}
      </ul>
    </div>
  )
}

/** Steps that nobody but the maker knows of: after which layer, what, and how long. */
function OwnSteps({ plan, problems, declarations, onChange }: StageProps) {
  return (
    <div className="pt-5">
      <RecordList
        field={declarations.steps}
        place="steps"
        records={plan.steps}
        materials={[]}
        problems={problems}
        understood={() => undefined}
        onChange={(steps) => onChange({ ...plan, steps })}
      />
      <p className="text-sm text-quiet">
        After: {["prepare", "cut", ...(plan.layers ?? []).map((layer) => layer.id), "hang"].join(", ")}.
      </p>
    </div>
  )
}

/** Glue, stems and ties, counted from the steps; the glue is bought when the plan says which. */
function Supplies({ plan, worked, onChange }: StageProps) {
  const stash = useStash(plan.units).data ?? []
  if (!worked || worked.supplies.bead === 0) return null
  const sold = stash.map((each) => each.material).filter((material) => material.kind === "glue")
  const own = plan.materials?.find((material) => material.kind === "glue")
  return (
    <div className="pt-5">
      <h3 className="text-lg">Glue</h3>
      {sold.length > 0 && (
        <div className="row">
          <label htmlFor="glue">Glue sticks</label>
          <select
            id="glue"
            className="field-input w-64 text-left"
            value={own?.id ?? ""}
            onChange={(event) =>
              onChange({
                ...plan,
                materials: [
                  ...(plan.materials ?? []).filter((material) => material.kind !== "glue"),
                  ...sold.filter((material) => material.id === event.target.value),
                ],
              })
            }
          >
            <option value="">Not counted into the money</option>
            {sold.map((material) => (
              <option key={material.id} value={material.id}>
                {material.name}
              </option>
            ))}
          </select>
        </div>
      )}
      <Working lines={worked.supplies.working} />
    </div>
  )
}
