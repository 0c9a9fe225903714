import type { Plan, WorkedPlan } from "../keep/client"
import { useStash } from "../keep/queries"
import { knownMaterials, withMaterials } from "./layers"
import { put } from "./places"

interface Props {
  plan: Plan
  worked?: WorkedPlan
  problem?: string
  onChange: (plan: Plan) => void
}

/** Which form of the stash it is, so that it is counted and paid for like everything else. */
export function FormStock({ plan, worked, problem, onChange }: Props) {
  const known = knownMaterials(plan, useStash(plan.units).data ?? [])
  const forms = known.filter((material) => material.kind === "form")
  if (forms.length === 0) return null
  return (
    <div className="row" data-place="form.material">
      <div>
        <label htmlFor="form-material">The form itself</label>
        <p className="text-sm leading-snug text-quiet">
          {worked?.form.cost === undefined ? "Not counted into the money" : `${worked.form.cost} a form`}
        </p>
      </div>
      <select
        id="form-material"
        className="field-input w-64 text-left"
        value={String(plan.form.material ?? "")}
        onChange={(event) =>
          onChange(withMaterials(put(plan, "form.material", event.target.value || undefined), known))
        }
      >
        <option value="">None of the stash</option>
        {forms.map((form) => (
          <option key={form.id} value={form.id}>
            {form.name}
          </option>
        ))}
      </select>
      {problem && (
        <p role="alert" className="col-span-2 text-sm font-semibold text-error">
          {problem}
        </p>
      )}
    </div>
  )
}
