import { Link } from "react-router"
import type { Field, Material, Plan, PlanLayer } from "../api/client"
import { FieldControl } from "../pieces/FieldControl"
import { Working } from "../pieces/Working"
import { RecordList } from "../pieces/RecordList"
import { Allowance } from "./Allowance"
import { Findings } from "./Findings"
import { withMaterials } from "./layers"
import { put, valueAt } from "./places"
import { WorkBackwards } from "./WorkBackwards"
import type { StageProps } from "./stageProps"

/** Which covering, of what, and how it lies; with the sum behind it. */
export function LayerControls({ plan, worked, problems, declarations, onChange, layer, index, known }: StageProps & { layer: PlanLayer; index: number; known: Material[] }) {
  const covering = declarations.coverings.find((each) => each.method === layer.method)
  const stage = covering?.stage ?? "cover"
  const place = `layers.${index}`
  const shown = worked?.layers.find((each) => each.id === layer.id && each.method === layer.method)
  const fits = known.filter((material) => covering?.takes.includes(material.kind))
  const change = (next: Plan) => onChange(withMaterials(next, known))
  const problemAt = (at: string) => problems.find((problem) => problem.at === at)?.says
  const changeMethod = (method: string) => {
    const takes = declarations.coverings.find((each) => each.method === method)?.takes ?? []
    const kept = known.find((material) => material.id === layer.material && takes.includes(material.kind)) ?? known.find((material) => takes.includes(material.kind))
    change(put(plan, place, { id: layer.id, method, material: kept?.id }))
  }
  const control = (field: Field, name = field.name) => (
    <FieldControl key={`${layer.method}.${name}`} field={field} place={`${place}.${name}`} value={valueAt(plan, `${place}.${name}`)} understood={problems.length > 0 ? undefined : worked?.lengths[`${place}.${name}`]}
      fallback={shown?.settings[name]} problem={problemAt(`${place}.${name}`)} materials={known} onChange={(value) => change(put(plan, `${place}.${name}`, value))} />
  )
  return (
    <>
      <h2 className="text-xl">{covering?.title ?? layer.method}</h2>
      <p className="text-quiet">{covering?.summary}</p>
      {stage === "cover" && <div className="row"><span>Covering</span>
        <span className="flex flex-wrap items-center justify-end gap-2">
          <select aria-label="Covering" className="field-input !w-60 !text-left" value={layer.method} onChange={(event) => changeMethod(event.target.value)}>
            {declarations.coverings.filter((each) => each.stage === stage).map((each) => <option key={each.method} value={each.method}>{each.title}</option>)}
          </select>
          <Link className="plain-button" to="../coverings" relative="path">See all on this form</Link>
        </span>
      </div>}
      <MaterialRow label="Material" fits={fits} value={layer.material} problem={problemAt(`${place}.material`)} onChange={(id) => change(put(plan, `${place}.material`, id))} />
      {covering?.several && <MoreColours layer={layer} fits={stage === "cover" ? fits : fits.filter((each) => each.kind === known.find((own) => own.id === layer.material)?.kind)} onChange={(ids) => change(put(plan, place, { ...layer, materials: ids.length > 0 ? ids : undefined, mix: undefined }))} />}
      {shown && worked && <Findings findings={[...shown.findings, ...worked.materials.filter((material) => shown.materials.includes(material.id)).flatMap((material) => material.findings)]} place={place} plan={plan} worked={worked} onChange={onChange} />}
      <Allowance plan={plan} layer={layer} onChange={onChange} />
      {covering?.options.filter((field) => plain(field) && !field.fine).map((field) => control(field))}
      {covering?.options.filter((field) => field.kind === "list" && (field.of as Field | undefined)?.kind === "record").map((list) => (
        <RecordList key={list.name} field={list} place={`${place}.${list.name}`} records={valueAt(plan, `${place}.${list.name}`)} materials={known} problems={problems} understood={(at) => (problems.length > 0 ? undefined : worked?.lengths[at])}
          onChange={(records) => change(put(plan, `${place}.${list.name}`, records))} />
      ))}
      {covering?.options.filter((field) => field.kind === "record").map((record) => (
        <details key={record.name} className="pt-1" open={valueAt(plan, `${place}.${record.name}`) !== undefined}>
          <summary className="cursor-pointer py-2 font-semibold">{record.label}</summary>
          <p className="text-sm text-quiet">{record.help}</p>
          {problemAt(`${place}.${record.name}`) && <p role="alert" className="text-sm font-semibold text-error">{problemAt(`${place}.${record.name}`)}</p>}
          {record.fields?.map((field) => control({ ...field }, `${record.name}.${field.name}`))}
        </details>
      ))}
      {covering?.options.some((field) => field.fine) && (
        <details className="pt-1" open={covering.options.some((field) => field.fine && (valueAt(plan, `${place}.${field.name}`) !== undefined || problemAt(`${place}.${field.name}`)))}>
          <summary className="cursor-pointer py-2 font-semibold">Finer points</summary>
          {covering.options.filter((field) => plain(field) && field.fine).map((field) => control(field))}
        </details>
      )}
      {worked && problems.length === 0 && <WorkBackwards key={layer.method} plan={plan} layer={index} onTry={(changes) => onChange(Object.entries(changes).reduce((next, [name, value]) => put(next, `${place}.${name}`, value), plan))} />}
      {shown && <div className="mt-2"><Working lines={shown.working} caption="The working" /></div>}
    </>
  )
}

const plain = (field: Field) => !["list", "record"].includes(field.kind)

function MaterialRow({ label, fits, value, problem, onChange }: { label: string; fits: Material[]; value?: string; problem?: string; onChange: (id: string | undefined) => void }) {
  return (
    <div className="row">
      <label htmlFor="layer-material">{label}</label>
      <select id="layer-material" className="field-input !w-64 !text-left" value={value ?? ""} onChange={(event) => onChange(event.target.value || undefined)}>
        {!fits.some((material) => material.id === value) && <option value="">{fits.length === 0 ? "Nothing in the stash fits" : "Choose one"}</option>}
        {fits.map((material) => <option key={material.id} value={material.id}>{material.name}</option>)}
      </select>
      {problem && <p role="alert" className="col-span-2 text-sm font-semibold text-error">{problem}</p>}
    </div>
  )
}

function MoreColours({ layer, fits, onChange }: { layer: PlanLayer; fits: Material[]; onChange: (ids: string[]) => void }) {
  const chosen = layer.materials ?? []
  return (
    <div className="border-b border-base-300 py-2">
      <span>More colours</span>
      <span className="flex flex-wrap gap-x-5 gap-y-1 pt-1">
        {fits.filter((material) => material.id !== layer.material).map((material) => (
          <label key={material.id} className="flex items-center gap-2">
            <input type="checkbox" className="checkbox checkbox-sm" checked={chosen.includes(material.id)}
              onChange={(event) => onChange(event.target.checked ? [...chosen, material.id] : chosen.filter((id) => id !== material.id))} />
            {material.name}
          </label>
        ))}
      </span>
    </div>
  )
}
