import { lazy, Suspense } from "react"
import { useTemplates } from "../keep/queries"
import type { Material } from "../keep/client"
import { Fold } from "../pieces/Fold"
import { RecordList } from "../pieces/RecordList"
import { Working } from "../pieces/Working"
import { Findings } from "./Findings"
import { MaterialRow } from "./LayerMaterials"
import { ofFinding } from "./judgements"
import { isNamed, namesOf } from "./layers"
import { useKnownMaterials } from "./useKnownMaterials"
import { LayersStage } from "./LayersStage"
import type { StageProps } from "./stageProps"

/** Moving by hand comes when somebody looks at the order. */
const StepsInOrder = lazy(async () => ({ default: (await import("./StepsInOrder")).StepsInOrder }))

/** What it hangs by, what covers its back, templates at true size, and the glue it all takes. */
export function HangStage(props: StageProps) {
  return (
    <LayersStage {...props} stage="hang">
      {props.worked && (
        <Findings
          judgements={props.worked.findings
            .filter(({ at }) => at === "hang")
            .map((each) => ofFinding(each, "layers", props.plan, props.declarations.coverings, []))}
          plan={props.plan}
          worked={props.worked}
          onChange={props.onChange}
        />
      )}
      <Templates id={props.id} />
      <Supplies {...props} />
      <OwnSteps {...props} />
    </LayersStage>
  )
}

function Templates({ id }: { id: number }) {
  const templates = useTemplates(id).data ?? []
  if (templates.length === 0) return null
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
                className="btn"
                href={`/api/wreaths/${id}/template.pdf?part=${each.name}`}
                download
                aria-label={`${each.title} as PDF`}
              >
                PDF
              </a>
              <a
                className="btn"
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
function OwnSteps({ plan, worked, problems, declarations, onChange }: StageProps) {
  const { of, ...field } = declarations.steps
  // Its id and what it uses up are for who writes plans by hand.
  const fields = of?.fields?.filter(({ name }) => !["id", "takes"].includes(name))
  return (
    <div className="pt-5">
      <RecordList
        field={of ? { ...field, of: { ...of, fields } } : field}
        place="steps"
        records={plan.steps}
        materials={[]}
        layers={namesOf(plan.layers ?? [], declarations.coverings, plan.materials)}
        problems={problems}
        understood={() => undefined}
        onChange={(steps) => onChange({ ...plan, steps })}
      />
      {worked && (
        <Fold summary={`All ${worked.steps.length} steps in their order`}>
          <Suspense>
            <StepsInOrder plan={plan} steps={worked.steps} onChange={onChange} />
          </Suspense>
        </Fold>
      )}
    </div>
  )
}

/** What the steps use up without a layer naming it: which of the stash it is taken from, so that it is charged. */
const USED_UP: { label: string; fits: (material: Material) => boolean }[] = [
  { label: "Glue sticks", fits: ({ kind }) => kind === "glue" },
  { label: "Cable ties", fits: ({ kind, sort }) => kind === "tie" && sort === "cable" },
  { label: "Chenille stems", fits: ({ kind, sort }) => kind === "tie" && sort === "chenille" },
  { label: "Wire", fits: ({ kind }) => kind === "wire" },
]

/** Glue, stems, ties and wire, counted from the steps; charged when the plan says which. */
function Supplies({ plan, worked, onChange }: StageProps) {
  const known = useKnownMaterials(plan)
  if (!worked || (worked.supplies.bead === 0 && !worked.fixings?.length)) return null
  const choose = (fits: (material: Material) => boolean, id: string | undefined) => {
    const others = (plan.materials ?? []).filter((material) => !fits(material) || isNamed(plan, material.id))
    const added = known.filter((material) => material.id === id && !others.some((each) => each.id === id))
    onChange({ ...plan, materials: [...others, ...added] })
  }
  return (
    <div className="pt-5">
      <h3 className="text-lg">What the steps use up</h3>
      {USED_UP.filter(({ fits }) => known.some(fits)).map(({ label, fits }) => (
        <MaterialRow
          key={label}
          label={label}
          none="Not counted into the money"
          fits={known.filter(fits)}
          value={plan.materials?.find(fits)?.id}
          onChange={(id) => choose(fits, id)}
        />
      ))}
      <ul className="py-1">
        {worked.fixings?.map((each) => (
          <li key={each.key} className="text-sm">
            {each.says} for {each.for}
          </li>
        ))}
      </ul>
      <Working lines={worked.supplies.working} />
    </div>
  )
}
