import { Sheet } from "../drawing/Sheet"
import { BaseRow } from "../form/BaseRow"
import type { ChangePlan, Declarations, Plan } from "../keep/client"
import { useWork } from "../keep/queries"
import { FieldControl } from "../pieces/FieldControl"
import { MeasureButton } from "../photo/MeasureButton"
import { sizingOf } from "../wreath/onDrawing"
import { put, valueAt } from "../wreath/places"

interface Props {
  plan: Plan
  declarations: Declarations
  /** The sizes are said: only the way back is shown. */
  sized: boolean
  onPlan: ChangePlan
  onBack: () => void
  onNext: () => void
}

/** How large? Two or three sizes, beside the drawing or on it. */
export function SizeForm({ plan, declarations, sized, onPlan, onBack, onNext }: Props) {
  const { data } = useWork(plan)
  const worked = data?.worked
  const problems = data?.problems ?? []
  const shape = declarations.forms.shapes.find(({ name }) => name === plan.form.shape)
  const fields = (shape?.fields ?? []).filter(({ kind, fine }) => kind !== "list" && kind !== "choice" && !fine)
  if (sized) {
    return (
      <p className="flex flex-wrap items-baseline gap-4 pt-1">
        <span>
          {shape?.title}, {fields.flatMap(({ name }) => worked?.lengths[`form.${name}`] ?? []).join(", ")}
        </span>
        <button type="button" className="link" onClick={onBack}>
          Change the sizes
        </button>
      </p>
    )
  }
  return (
    <section aria-label="How large?" className="grid gap-6 pt-2 lg:grid-cols-[minmax(0,10fr)_minmax(0,9fr)]">
      <div className="h-[26rem]">
        {worked && (
          <Sheet worked={worked} materials={[]} sizing={sizingOf(plan.form.shape, declarations, onPlan, problems)} />
        )}
      </div>
      <div>
        <h2 className="text-xl">How large is it?</h2>
        <p className="flex flex-wrap items-baseline gap-x-4 text-sm">
          <span className="text-quiet">Labels lie: measure yours. Leave what you do not know.</span>
          <MeasureButton named={plan.form.shape} units={plan.units} forms={declarations.forms} onChange={onPlan} />
        </p>
        <BaseRow base={plan.form.base} forms={declarations.forms} onChange={onPlan} />
        {fields.map((field) => (
          <FieldControl
            key={field.name}
            field={field}
            place={`form.${field.name}`}
            value={valueAt(plan, `form.${field.name}`)}
            understood={problems.length > 0 ? undefined : worked?.lengths[`form.${field.name}`]}
            problem={problems.find(({ at }) => at === `form.${field.name}`)?.says}
            onChange={(value) => onPlan((now) => put(now, `form.${field.name}`, value))}
          />
        ))}
        <p className="flex gap-3 pt-4">
          <button
            type="button"
            className="btn btn-primary"
            disabled={!worked || problems.length > 0}
            onClick={onNext}
          >
            Next: what have you got?
          </button>
          <button type="button" className="btn" onClick={onBack}>
            Another form
          </button>
        </p>
      </div>
    </section>
  )
}
