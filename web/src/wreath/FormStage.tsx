import { FieldControl } from "../pieces/FieldControl"
import { OpenChoice } from "../pieces/OpenChoice"
import { Working } from "../pieces/Working"
import { Findings } from "./Findings"
import { put, valueAt } from "./places"
import type { StageProps } from "./WreathScreen"

/** What the form is, by its sizes or by a string. */
export function FormStage({ plan, worked, problems, declarations, onChange }: StageProps) {
  const { bases, shapes, measured } = declarations.forms
  const base = bases.find((each) => each.name === plan.form.base)
  const shape = shapes.find((each) => each.name === plan.form.shape)
  const control = (place: string) => ({
    place, value: valueAt(plan, place), understood: worked?.lengths[place], problem: problems.find((problem) => problem.at === place)?.says,
    onChange: (value: unknown) => onChange(tidied(put(plan, place, value))),
  })
  const changeShape = (name: string) => {
    const kept = Object.fromEntries(Object.entries(plan.form).filter(([key]) => base?.fields.some((field) => field.name === key)))
    onChange({ ...plan, form: { ...kept, base: plan.form.base, shape: name, ...shapes.find((each) => each.name === name)?.typical } })
  }
  const changeBase = (name: string) => {
    const kept = Object.fromEntries(Object.entries(plan.form).filter(([key]) => key === "measured" || shape?.fields.some((field) => field.name === key)))
    onChange({ ...plan, form: { ...kept, base: name, shape: plan.form.shape } })
  }
  return (
    <section aria-label="Form">
      <h2 className="text-xl">{shape?.title ?? "Form"}</h2>
      <p className="text-quiet">A string round the form beats any label.</p>
      <div className="row"><span>Base</span>
        <OpenChoice label="Base" name="form.base" value={plan.form.base} choices={bases.map((each) => ({ value: each.name, says: each.title }))} onChange={changeBase} />
      </div>
      <div className="row"><label htmlFor="form-shape">Shape</label>
        <select id="form-shape" className="field-input !w-44 !text-left" value={plan.form.shape} onChange={(event) => changeShape(event.target.value)}>
          {shapes.map((each) => <option key={each.name} value={each.name}>{each.title}</option>)}
        </select>
      </div>
      {shape?.fields.filter((field) => field.kind !== "list").map((field) => <FieldControl key={field.name} field={field} {...control(`form.${field.name}`)} />)}
      {base?.fields.map((field) => <FieldControl key={`${base.name}.${field.name}`} field={field} fallback={field.default === undefined ? undefined : String(field.default)} {...control(`form.${field.name}`)} />)}
      {worked && worked.form.findings.length > 0 && <Findings findings={worked.form.findings} place="form" plan={plan} worked={worked} onChange={onChange} />}
      <details className="mt-2" open={plan.form.measured !== undefined}>
        <summary className="cursor-pointer py-2 font-semibold">Measured with a string</summary>
        {measured.map((field) => <FieldControl key={field.name} field={field} {...control(`form.measured.${field.name}`)} />)}
      </details>
      {worked && <div className="mt-3"><Working lines={worked.form.working} caption="What the form measures" /></div>}
    </section>
  )
}

/** A record of strings with nothing in it is taken out. */
function tidied<T extends { form: { measured?: object } }>(plan: T): T {
  return plan.form.measured && Object.keys(plan.form.measured).length === 0 ? put(plan, "form.measured", undefined) : plan
}
