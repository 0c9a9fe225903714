import { lazy, memo, Suspense, useState } from "react"
import type { ChangePlan, Declarations, Units } from "../keep/client"
import { put } from "../wreath/places"

const MeasurePhoto = lazy(async () => ({ default: (await import("./MeasurePhoto")).MeasurePhoto }))

interface Props {
  /** The form’s shape. */
  named: string
  units: Units
  forms: Declarations["forms"]
  onChange: ChangePlan
}

/** Opens the way from a photo to the form’s sizes, where the shape has any. */
export const MeasureButton = memo(function MeasureButton({ named, units, forms, onChange }: Props) {
  const [open, setOpen] = useState(false)
  const shape = forms.shapes.find(({ name }) => name === named)
  if (!shape?.fields.some(({ kind, fine }) => kind === "length" && !fine)) return null
  return (
    <>
      <button type="button" className="link" onClick={() => setOpen(true)}>
        Measure from a photo…
      </button>
      {open && (
        <Suspense>
          <MeasurePhoto
            shape={shape}
            sheets={forms.sheets}
            units={units}
            onUse={(sizes) =>
              onChange((plan) =>
                Object.entries(sizes).reduce((next, [name, size]) => put(next, `form.${name}`, size), plan),
              )
            }
            onClose={() => setOpen(false)}
          />
        </Suspense>
      )}
    </>
  )
})
