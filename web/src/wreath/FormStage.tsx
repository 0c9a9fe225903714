import { useCallback } from "react"
import type { Field } from "../keep/client"
import { BaseRow } from "../form/BaseRow"
import { onShape, tidied } from "../form/changes"
import { JoinedParts } from "../form/JoinedParts"
import { OutlineCorners } from "../form/OutlineCorners"
import { OwnForms } from "../form/OwnForms"
import { ShapePicker } from "../form/ShapePicker"
import { FieldControl } from "../pieces/FieldControl"
import { Fold } from "../pieces/Fold"
import { Working } from "../pieces/Working"
import { MeasureButton } from "../photo/MeasureButton"
import { Findings } from "./Findings"
import { FormBefore } from "./FormBefore"
import { FormStock } from "./FormStock"
import { ofFinding } from "./judgements"
import { withMaterials } from "./layers"
import { put, valueAt } from "./places"
import type { StageProps } from "./stageProps"
import { useKnownMaterials } from "./useKnownMaterials"

type FindingsProps = Pick<StageProps, "plan" | "worked" | "declarations" | "onChange">

/** What the form is, by its sizes or by a string. */
export function FormStage({ plan, worked, problems, declarations, onChange, onMeasure, id }: StageProps) {
  const { bases, shapes, measured, shelf } = declarations.forms
  const base = bases.find((each) => each.name === plan.form.base)
  const shape = shapes.find((each) => each.name === plan.form.shape)
  const choose = useCallback(
    (name: string) => onChange((now) => onShape(now, declarations.forms, name)),
    [declarations, onChange],
  )
  const known = useKnownMaterials(plan)
  const problemAt = (place: string) =>
    problems.find((problem) => problem.at === place || problem.at.startsWith(`${place}.`))?.says
  const control = (place: string) => ({
    place,
    value: valueAt(plan, place),
    understood: problems.length > 0 ? undefined : worked?.lengths[place],
    problem: problems.find((problem) => problem.at === place)?.says,
    onChange: (value: unknown) =>
      onChange((now) => {
        const next = tidied(put(now, place, value))
        return place.endsWith(".material") ? withMaterials(next, known) : next
      }),
  })
  /** What a choice comes to that nobody made: pointed or rounded corners go with the base. */
  const comesTo = (field: Field) =>
    field.name === "corners" ? worked?.form.corners : field.default === undefined ? undefined : String(field.default)
  const listed = shape?.fields.find((field) => field.kind === "list")
  const placing = listed?.of?.fields
  return (
    <section
      aria-label="Form"
      onFocus={(event) => onMeasure(event.target.closest<HTMLElement>("[data-place]")?.dataset.place)}
      onBlur={() => onMeasure(undefined)}
    >
      <h2 className="text-xl">{shape?.title ?? "Form"}</h2>
      <ShapePicker shapes={shapes} chosen={plan.form.shape} onChoose={choose} />
      <OwnForms form={plan.form} units={plan.units} shelf={shelf} onChange={onChange} />
      <BaseRow base={plan.form.base} forms={declarations.forms} onChange={onChange} />
      <p className="py-2">
        <MeasureButton named={plan.form.shape} units={plan.units} forms={declarations.forms} onChange={onChange} />
      </p>
      <FormStock plan={plan} worked={worked} problem={problemAt("form.material")} onChange={onChange} />
      <FormBefore
        field={declarations.forms.before}
        plan={plan}
        worked={worked}
        problems={problems}
        onChange={onChange}
      />
      {shape?.fields
        .filter((field) => field.kind !== "list")
        .map((field) => (
          <FieldControl
            key={`${shape.name}.${field.name}`}
            field={field}
            fallback={comesTo(field)}
            {...control(`form.${field.name}`)}
          />
        ))}
      {listed?.name === "points" && (
        <OutlineCorners
          points={valueAt(plan, "form.points")}
          problem={problemAt("form.points")}
          onChange={(points) => onChange(put(plan, "form.points", points))}
        />
      )}
      {placing && (
        <JoinedParts
          parts={
            (plan.form.parts as Record<string, unknown>[] | undefined) ??
            (shape?.typical?.parts as Record<string, unknown>[])
          }
          shapes={shapes}
          placing={placing}
          materials={known}
          control={control}
          onChange={(parts) => onChange(put(plan, "form.parts", parts))}
        />
      )}
      {base?.fields.map((field) => (
        <FieldControl
          key={`${base.name}.${field.name}`}
          field={field}
          fallback={field.default === undefined ? undefined : String(field.default)}
          {...control(`form.${field.name}`)}
        />
      ))}
      <FormFindings plan={plan} worked={worked} declarations={declarations} onChange={onChange} />
      <Fold
        className="mt-2"
        summary="Measured with a string"
        begin={plan.form.measured !== undefined}
        urgent={problemAt("form.measured") !== undefined}
      >
        <p className="text-sm text-quiet">
          A string round the form beats any label. The drawing shows where it goes.
        </p>
        {measured.map((field) => (
          <FieldControl key={field.name} field={field} {...control(`form.measured.${field.name}`)} />
        ))}
      </Fold>
      {worked && (
        <div className="mt-3">
          <Working lines={worked.form.working} caption="What the form measures" />
        </div>
      )}
      <p className="py-3">
        <a className="link" href={`/api/wreaths/${id}/form.svg`} download>
          The form as SVG, true size
        </a>
      </p>
    </section>
  )
}

/** What is said of the form, each with the size that mends it. */
function FormFindings({ plan, worked, declarations, onChange }: FindingsProps) {
  if (!worked || worked.form.findings.length === 0) return null
  const { bases, shapes } = declarations.forms
  const fields = [...shapes, ...bases]
    .filter(({ name }) => name === plan.form.shape || name === plan.form.base)
    .flatMap((each) => each.fields)
  return (
    <Findings
      judgements={worked.form.findings.map((each) => ofFinding(each, "form", plan, declarations.coverings, fields))}
      plan={plan}
      worked={worked}
      onChange={onChange}
    />
  )
}
