import type { Declarations, Plan } from "../keep/client"
import { OpenChoice } from "../pieces/OpenChoice"
import { onBase } from "./changes"

interface Props {
  plan: Plan
  forms: Declarations["forms"]
  onChange: (plan: Plan) => void
}

/** What the form is made of. */
export function BaseRow({ plan, forms, onChange }: Props) {
  return (
    <div className="row">
      <span>Base</span>
      <OpenChoice
        label="Base"
        name="form.base"
        value={plan.form.base}
        choices={forms.bases.map((each) => ({ value: each.name, says: each.title }))}
        onChange={(name) => onChange(onBase(plan, forms, name))}
      />
    </div>
  )
}
