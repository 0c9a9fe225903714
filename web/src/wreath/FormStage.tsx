import type { Plan } from "../api/client"
import { JoinedParts } from "../form/JoinedParts"
import { OutlineCorners } from "../form/OutlineCorners"
import { OwnForms } from "../form/OwnForms"
import { ShapePicker } from "../form/ShapePicker"
import { FieldControl } from "../pieces/FieldControl"
import { OpenChoice } from "../pieces/OpenChoice"
import { Working } from "../pieces/Working"
import { Findings } from "./Findings"
import { put, valueAt } from "./places"
import type { StageProps } from "./stageProps"

/** What the form is, by its sizes or by a string. */
export function FormStage({ plan, worked, problems, declarations, onChange, onMeasure, id }: StageProps) {
  const { bases, shapes, measured, shelf } = declarations.forms
  const base = bases.find((each) => each.name === plan.form.base)
  const shape = shapes.find((each) => each.name === plan.form.shape)
  const problemAt = (place: string) => problems.find((problem) => problem.at === place || problem.at.startsWith(`${place}.`))?.says
  const control = (place: string) => ({
    place, value: valueAt(plan, place), understood: problems.length > 0 ? undefined : worked?.lengths[place], problem: problems.find((problem) => problem.at === place)?.says,
    onChange: (value: unknown) => onChange(tidied(put(plan, place, value))),
  })
  const kept = (keep: (name: string) => boolean) => Object.fromEntries(Object.entries(plan.form).filter(([key]) => keep(key)))
  const changeShape = (name: string) =>
    onChange({ ...plan, form: { ...kept((key) => base?.fields.some((field) => field.name === key) ?? false), base: plan.form.base, shape: name, ...shapes.find((each) => each.name === name)?.typical } })
  const changeBase = (name: string) =>
    onChange({ ...plan, form: { ...kept((key) => key === "measured" || (shape?.fields.some((field) => field.name === key) ?? false)), base: name, shape: plan.form.shape } })
  const listed = shape?.fields.find((field) => field.kind === "list")
  const placing = (listed?.of as { fields?: StageProps["declarations"]["forms"]["measured"] } | undefined)?.fields
  return (
    <section aria-label="Form" onFocus={(event) => onMeasure(event.target.closest<HTMLElement>("[data-place]")?.dataset.place)} onBlur={() => onMeasure(undefined)}>
      <h2 className="text-xl">{shape?.title ?? "Form"}</h2>
      <ShapePicker shapes={shapes} chosen={plan.form.shape} onChoose={changeShape} />
      <OwnForms plan={plan} shelf={shelf} onChoose={(form) => onChange({ ...plan, form })} />
      <div className="row"><span>Base</span>
        <OpenChoice label="Base" name="form.base" value={plan.form.base} choices={bases.map((each) => ({ value: each.name, says: each.title }))} onChange={changeBase} />
      </div>
      {shape?.fields.filter((field) => field.kind !== "list").map((field) => <FieldControl key={`${shape.name}.${field.name}`} field={field} fallback={field.default === undefined ? undefined : String(field.default)} {...control(`form.${field.name}`)} />)}
      {listed?.name === "points" && <OutlineCorners points={valueAt(plan, "form.points")} problem={problemAt("form.points")} onChange={(points) => onChange(put(plan, "form.points", points))} />}
      {placing && <JoinedParts parts={(plan.form.parts as Record<string, unknown>[] | undefined) ?? (shape?.typical?.parts as Record<string, unknown>[])} shapes={shapes} placing={placing} control={control} onChange={(parts) => onChange(put(plan, "form.parts", parts))} />}
      {base?.fields.map((field) => <FieldControl key={`${base.name}.${field.name}`} field={field} fallback={field.default === undefined ? undefined : String(field.default)} {...control(`form.${field.name}`)} />)}
      {worked && worked.form.findings.length > 0 && <Findings findings={worked.form.findings} place="form" plan={plan} worked={worked} onChange={onChange} />}
      <details className="mt-2" open={plan.form.measured !== undefined}>
        <summary className="cursor-pointer py-2 font-semibold">Measured with a string</summary>
        <p className="text-sm text-quiet">A string round the form beats any label. The drawing shows where it goes.</p>
        {measured.map((field) => <FieldControl key={field.name} field={field} {...control(`form.measured.${field.name}`)} />)}
      </details>
      {worked && <div className="mt-3"><Working lines={worked.form.working} caption="What the form measures" /></div>}
      <p className="py-3"><a className="link-button" href={`/api/wreaths/${id}/form.svg`} download>The form as SVG, true size</a></p>
    </section>
  )
}

/** A record of strings with nothing in it is taken out. */
function tidied(plan: Plan): Plan {
  return plan.form.measured && Object.keys(plan.form.measured).length === 0 ? put(plan, "form.measured", undefined) : plan
}
