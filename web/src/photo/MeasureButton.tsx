import { useState } from "react"
import type { Declarations, Plan } from "../keep/client"
import { put } from "../wreath/places"
import { MeasurePhoto } from "./MeasurePhoto"

interface Props {
  plan: Plan
  forms: Declarations["forms"]
  onChange: (plan: Plan) => void
}

/** Opens the way from a photo to the form’s sizes, where the shape has any. */
export function MeasureButton({ plan, forms, onChange }: Props) {
  const [open, setOpen] = useState(false)
  const shape = forms.shapes.find(({ name }) => name === plan.form.shape)
  if (!shape?.fields.some(({ kind, fine }) => kind === "length" && !fine)) return null
  return (
    <>
      <button type="button" className="link-button" onClick={() => setOpen(true)}>
        Measure from a photo…
      </button>
      {open && (
        <MeasurePhoto
          shape={shape}
          sheets={forms.sheets}
          units={plan.units}
          onUse={(sizes) =>
            onChange(Object.entries(sizes).reduce((next, [name, size]) => put(next, `form.${name}`, size), plan))
          }
          onClose={() => setOpen(false)}
        />
      )}
    </>
  )
}
