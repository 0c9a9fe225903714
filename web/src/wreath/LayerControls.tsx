import { useState } from "react"
import { Link } from "react-router"
import type { Covering, Field as Declared, Material, Plan, PlanLayer, WorkedLayer } from "../keep/client"
import { useQuestion } from "../keep/useQuestion"
import { FieldControl } from "../pieces/FieldControl"
import { Fold } from "../pieces/Fold"
import { RecordList } from "../pieces/RecordList"
import type { Choice } from "../pieces/Select"
import { Working } from "../pieces/Working"
import { QuickMaterial } from "../stash/QuickMaterial"
import { Allowance } from "./Allowance"
import { Findings } from "./Findings"
import { isOfWay } from "./along"
import { ofAdvice, ofFinding } from "./judgements"
import { namesOf, withMaterials } from "./layers"
import { MaterialRow, Mix, MoreColours } from "./LayerMaterials"
import { Pace } from "./Pace"
import { PractiseIt } from "./PractiseIt"
import { PartOfWay } from "./PartOfWay"
import { put, valueAt } from "./places"
import type { StageProps } from "./stageProps"
import { WorkBackwards } from "./WorkBackwards"
import { Problem } from "../pieces/Problem"
import { applies } from "../pieces/applies"
import { Field } from "../pieces/Field"

interface Props extends StageProps {
  layer: PlanLayer
  index: number
  known: Material[]
}

/** One layer with everything that its controls need. */
interface Controls extends Props {
  covering?: Covering
  /** The layer as it was last worked. */
  shown?: WorkedLayer
  /** The other layers, by name, for what sits on one of them. */
  others: Choice[]
  /** Where it stands in the plan. */
  place: string
  change: (plan: Plan) => void
  problemAt: (at: string) => string | undefined
}

/** Which covering, of what, and how it lies; with the sum behind it. */
export function LayerControls(props: Props) {
  const { plan, worked, problems, declarations, onChange, layer, index, known } = props
  const place = `layers.${index}`
  const controls: Controls = {
    ...props,
    place,
    covering: declarations.coverings.find((each) => each.method === layer.method),
    shown: worked?.layers.find((each) => each.id === layer.id && each.method === layer.method),
    others: namesOf(plan.layers ?? [], declarations.coverings, plan.materials).filter(
      ({ value }) => value !== layer.id,
    ),
    change: (next) => onChange(withMaterials(next, known)),
    problemAt: (at) => problems.find((problem) => problem.at === at)?.says,
  }
  const { covering, shown } = controls
  const tryOut = (changes: Record<string, unknown>) =>
    onChange(Object.entries(changes).reduce((next, [name, value]) => put(next, `${place}.${name}`, value), plan))
  return (
    <>
      <h2 className="text-xl">{covering?.title ?? layer.method}</h2>
      <p className="text-quiet">{covering?.summary}</p>
      {covering?.stage !== "trim" && covering?.stage !== "hang" && <MethodRow {...controls} />}
      <Materials {...controls} />
      <Allowance plan={plan} layer={layer} onChange={onChange} />
      <Pace plan={plan} layer={layer} onChange={onChange} />
      <PractiseIt plan={plan} layer={layer} covering={covering} />
      {shown && worked && <Judgements {...controls} shown={shown} worked={worked} />}
      <PartOfWay
        {...controls}
        onChange={controls.change}
        understood={(at) => (problems.length > 0 ? undefined : worked?.lengths[at])}
      />
      <Options {...controls} />
      {worked && problems.length === 0 && (
        <WorkBackwards key={layer.method} plan={plan} layer={index} onTry={tryOut} />
      )}
      {shown && (
        <div className="mt-2">
          <Working lines={shown.working} caption="The working" />
        </div>
      )}
    </>
  )
}

type Worked = NonNullable<StageProps["worked"]>

/** What is said of a layer, and of what it is made of; what a wise friend says to it. */
function Judgements(controls: Controls & { shown: WorkedLayer; worked: Worked }) {
  const { plan, problems, declarations, known, place, shown, worked, covering, onChange } = controls
  const { data, isError } = useQuestion("/ask/advice", problems.length === 0 ? plan : undefined)
  const advice = data?.advice ?? []
  // What is only worth knowing waits for the advice, so that nothing moves from under the maker’s hand.
  const waiting = !data && !isError && problems.length === 0
  const own = worked.materials.filter((material) => shown.materials.includes(material.id))
  const findings = [...shown.findings, ...own.flatMap((material) => material.findings)].filter(
    ({ level }) => !waiting || level !== "note",
  )
  const about = advice.filter(
    (each) => each.try?.[shown.id] ?? (!each.try && each.material && shown.materials.includes(each.material)),
  )
  const judgements = [
    ...findings.map((each) => ofFinding(each, place, plan, declarations.coverings, covering?.options ?? [])),
    ...about.map((each) => ofAdvice(each, plan, declarations.coverings, (next) => withMaterials(next, known))),
  ]
  return <Findings judgements={judgements} plan={plan} worked={worked} onChange={onChange} />
}

function MethodRow({ plan, layer, declarations, known, place, change }: Controls) {
  const covers = declarations.coverings.filter((each) => each.stage === "cover")
  const choose = (method: string) => {
    const takes = covers.find((each) => each.method === method)?.takes ?? []
    const fits = known.filter((material) => takes.includes(material.kind))
    const kept = fits.find((material) => material.id === layer.material) ?? fits[0]
    change(put(plan, place, { id: layer.id, method, material: kept?.id }))
  }
  return (
    <Field label="Covering">
      <span className="flex flex-wrap items-center justify-end gap-2">
        <select
          aria-label="Covering"
          className="select w-60 text-left"
          value={layer.method}
          onChange={(event) => choose(event.target.value)}
        >
          {covers.map((each) => (
            <option key={each.method} value={each.method}>
              {each.title}
            </option>
          ))}
        </select>
        <Link className="btn" to="../coverings" relative="path">
          See all on this form
        </Link>
      </span>
    </Field>
  )
}

function Materials({ plan, layer, known, covering, declarations, place, change, problemAt, onChange }: Controls) {
  const add = (material: Material, before: number) =>
    before > 0 && covering?.several
      ? addColour(material)
      : onChange(withMaterials(put(plan, `${place}.material`, material.id), [...known, material]))
  const addColour = (material: Material) => {
    const materials = [...(layer.materials ?? []), material.id]
    onChange(withMaterials(put(plan, place, { ...layer, materials, mix: undefined }), [...known, material]))
  }
  const fits = known.filter((material) => covering?.takes.includes(material.kind))
  const others = known.filter((material) => !fits.includes(material))
  const kinds = declarations.materials.filter(({ kind }) => covering?.takes.includes(kind)).map(({ title }) => title)
  const own = known.find((material) => material.id === layer.material)
  const alike = covering?.stage === "cover" ? fits : fits.filter((each) => each.kind === own?.kind)
  const recolour = (ids: string[]) => {
    const materials = ids.length > 0 ? ids : undefined
    change(put(plan, place, { ...layer, materials, mix: undefined }))
  }
  const mixed = covering?.options.some((option) => option.name === "mix") && (layer.materials ?? []).length > 0
  return (
    <>
      <MaterialRow
        label="Material"
        fits={fits}
        others={{ materials: others, why: `Will not do: this takes ${kinds.join(", ").toLowerCase()}` }}
        value={layer.material}
        problem={problemAt(`${place}.material`)}
        adding={{ kinds: firstOf(covering, layer), units: plan.units, onAdded: add }}
        onChange={(id) => change(put(plan, `${place}.material`, id))}
      />
      {covering?.several && (
        <MoreColours
          layer={layer}
          fits={alike}
          adding={{ kinds: covering.takes, units: plan.units, onAdded: addColour }}
          onChange={recolour}
        />
      )}
      {mixed && (
        <Mix
          layer={layer}
          known={known}
          problem={problemAt(`${place}.mix`)}
          onChange={(mix) => change(put(plan, `${place}.mix`, mix))}
        />
      )}
    </>
  )
}

/** The kinds that a layer takes, the one first that it is mostly of. */
function firstOf(covering: Covering | undefined, layer: PlanLayer): string[] {
  const { option, kinds } = covering?.takes_first ?? { option: "", kinds: {} }
  const first = kinds[String(layer[option])]
  const takes = covering?.takes ?? []
  return first ? [first, ...takes.filter((kind) => kind !== first)] : takes
}

/** Where a material is added to: the place of an option, and what it can be. */
type Wanted = { at: string; kinds: string[] }

/** A list of numbers is written in one line; how colours are mixed is said beside them. */
const numbers = (field: Declared) => field.kind === "list" && field.of?.kind === "count" && field.name !== "mix"

const plain = (field: Declared) => !["list", "record"].includes(field.kind) || numbers(field)

/** The options of a layer, drawn from what it declares: plain ones, lists, records, and the finer points. */
function Options(controls: Controls) {
  const { plan, layer, worked, problems, known, covering, place, change, problemAt, onChange } = controls
  const [wanted, setWanted] = useState<Wanted>()
  const control = (field: Declared, name = field.name) => optionControl(controls, field, name, setWanted)
  const all = covering?.options ?? []
  const options = all.filter((field) => !isOfWay(covering, field) && applies(field, all, layer))
  const fine = options.filter((field) => plain(field) && field.fine)
  const understood = (at: string) => (problems.length > 0 ? undefined : worked?.lengths[at])
  const said = (name: string) => valueAt(plan, `${place}.${name}`) !== undefined
  return (
    <>
      {options.filter((field) => plain(field) && !field.fine).map((field) => control(field))}
      {options
        .filter((field) => field.kind === "list" && field.of?.kind === "record")
        .map((list) => (
          <RecordList
            key={list.name}
            field={list}
            place={`${place}.${list.name}`}
            records={valueAt(plan, `${place}.${list.name}`)}
            materials={known}
            usual={list.name === "parts" ? controls.shown?.parts : undefined}
            problems={problems}
            understood={understood}
            onChange={(records) => change(put(plan, `${place}.${list.name}`, records))}
          />
        ))}
      {options
        .filter((field) => field.kind === "record")
        .map((record) => (
          <Fold
            key={record.name}
            summary={record.label}
            begin={said(record.name)}
            urgent={problems.some((problem) => problem.at.startsWith(`${place}.${record.name}`))}
          >
            <p className="text-sm text-quiet">{record.help}</p>
            {problemAt(`${place}.${record.name}`) && <Problem small>{problemAt(`${place}.${record.name}`)}</Problem>}
            {record.fields?.map((field) => control(field, `${record.name}.${field.name}`))}
          </Fold>
        ))}
      {wanted && (
        <QuickMaterial
          kinds={wanted.kinds}
          units={plan.units}
          beside={plan.materials}
          onAdded={(material) => onChange(withMaterials(put(plan, wanted.at, material.id), [...known, material]))}
          onClose={() => setWanted(undefined)}
        />
      )}
      {fine.length > 0 && (
        <Fold
          summary="Finer points"
          begin={fine.some((field) => said(field.name))}
          urgent={fine.some((field) => problemAt(`${place}.${field.name}`) !== undefined)}
        >
          {fine.map((field) => control(field))}
        </Fold>
      )}
    </>
  )
}

function optionControl(controls: Controls, field: Declared, name: string, onWanted: (wanted: Wanted) => void) {
  const { plan, worked, problems, layer, known, shown, place, change, problemAt } = controls
  const at = `${place}.${name}`
  // What is wrong with one of a list is said beside the list.
  const within = field.kind === "list" ? problems.find((problem) => problem.at.startsWith(`${at}.`))?.says : undefined
  return (
    <FieldControl
      key={`${layer.method}.${name}`}
      field={field}
      place={at}
      value={valueAt(plan, at)}
      understood={problems.length > 0 ? undefined : worked?.lengths[at]}
      fallback={shown?.settings[name]}
      problem={problemAt(at) ?? within}
      materials={known}
      layers={controls.others}
      onAdd={() => onWanted({ at, kinds: field.kinds ?? [] })}
      onChange={(value) => change(put(plan, at, value))}
    />
  )
}
