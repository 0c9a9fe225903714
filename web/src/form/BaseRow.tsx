import { memo } from "react"
import type { ChangePlan, Declarations } from "../keep/client"
import { OpenChoice } from "../pieces/OpenChoice"
import { onBase } from "./changes"
import { Field } from "../pieces/Field"

interface Props {
  base: string
  forms: Declarations["forms"]
  onChange: ChangePlan
}

/** What the form is made of. */
export const BaseRow = memo(function BaseRow({ base, forms, onChange }: Props) {
  return (
    <Field label="Base">
      <OpenChoice
        label="Base"
        name="form.base"
        value={base}
        choices={forms.bases.map((each) => ({ value: each.name, says: each.title }))}
        onChange={(name) => onChange((plan) => onBase(plan, forms, name))}
      />
    </Field>
  )
})
