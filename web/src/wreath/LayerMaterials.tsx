import { useId, useState } from "react"
import type { Material, PlanLayer, Units } from "../keep/client"
import { QuickMaterial } from "../stash/QuickMaterial"
import { Problem } from "../pieces/Problem"
import { Field } from "../pieces/Field"

interface RowProps {
  label: string
  fits: Material[]
  /** What there is besides, and why it will not do. */
  others?: { materials: Material[]; why: string }
  value?: string
  problem?: string
  /** What is said under its name. */
  says?: string
  /** What choosing none is called, where none will do. */
  none?: string
  /** Of which kinds one can be added here, and who takes it; how many were added in a row before it. */
  adding?: { kinds: string[]; units: Units; onAdded: (material: Material, before: number) => void }
  onChange: (id: string | undefined) => void
}

/** Stands for a material that is still to be added. */
const ADD = "+"

/** What a layer, or the form itself, is made of. */
export function MaterialRow({ label, fits, others, value, problem, says, none, adding, onChange }: RowProps) {
  const [open, setOpen] = useState(false)
  const chosen = fits.some((material) => material.id === value)
  return (
    <Field label={label} help={says} problem={problem}>
      {(labelled) => (
        <>
          <select
            {...labelled}
            className="select w-64 text-left"
            value={value ?? ""}
            onChange={(event) =>
              event.target.value === ADD ? setOpen(true) : onChange(event.target.value || undefined)
            }
          >
            {(none || !chosen) && (
              <option value="">{none ?? (fits.length === 0 ? "Nothing in the stash fits" : "Choose one")}</option>
            )}
            {fits.map((material) => (
              <option key={material.id} value={material.id}>
                {material.name}
              </option>
            ))}
            {others && others.materials.length > 0 && (
              <optgroup label={others.why}>
                {others.materials.map((material) => (
                  <option key={material.id} value={material.id} disabled>
                    {material.name}
                  </option>
                ))}
              </optgroup>
            )}
            {adding && <option value={ADD}>Add a material…</option>}
          </select>
          {adding && open && <QuickMaterial {...adding} onClose={() => setOpen(false)} />}
        </>
      )}
    </Field>
  )
}

interface ColoursProps {
  layer: PlanLayer
  fits: Material[]
  adding: { kinds: string[]; units: Units; onAdded: (material: Material) => void }
  onChange: (ids: string[]) => void
}

/** More colours, where they rotate. */
export function MoreColours({ layer, fits, adding, onChange }: ColoursProps) {
  const [open, setOpen] = useState(false)
  const chosen = layer.materials ?? []
  const choose = (id: string, on: boolean) => onChange(on ? [...chosen, id] : chosen.filter((each) => each !== id))
  return (
    <div className="border-b border-base-300 py-2">
      <span>More colours</span>
      <span className="flex flex-wrap gap-x-5 gap-y-1 pt-1">
        {fits
          .filter((material) => material.id !== layer.material)
          .map((material) => (
            <label key={material.id} className="flex items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={chosen.includes(material.id)}
                onChange={(event) => choose(material.id, event.target.checked)}
              />
              {material.name}
            </label>
          ))}
        <button type="button" className="link" onClick={() => setOpen(true)}>
          Add a material…
        </button>
      </span>
      {open && <QuickMaterial {...adding} onClose={() => setOpen(false)} />}
    </div>
  )
}

interface MixProps {
  layer: PlanLayer
  known: Material[]
  problem?: string
  onChange: (mix: number[] | undefined) => void
}

/** How much of each colour, by parts: one roll, one roll, two rolls. */
export function Mix({ layer, known, problem, onChange }: MixProps) {
  const id = useId()
  const ids = [layer.material, ...(layer.materials ?? [])].filter((each, i, all) => each && all.indexOf(each) === i)
  const said = Array.isArray(layer.mix) ? (layer.mix as number[]) : []
  const parts = ids.map((_, i) => said[i] ?? 1)
  const change = (index: number, text: string) => {
    const next = parts.map((part, i) => (i === index ? Math.max(Math.round(Number(text)) || 1, 1) : part))
    onChange(next.every((part) => part === next[0]) ? undefined : next)
  }
  return (
    <fieldset className="border-b border-base-300 py-2">
      <legend>Parts of each colour</legend>
      <span className="flex flex-wrap gap-x-5 gap-y-1 pt-1">
        {ids.map((each, index) => (
          <span key={each} className="flex items-center gap-2">
            <input
              id={`${id}-${index}`}
              className="input w-14"
              type="number"
              min={1}
              max={99}
              value={parts[index]}
              onChange={(event) => change(index, event.target.value)}
            />
            <label htmlFor={`${id}-${index}`}>{known.find((material) => material.id === each)?.name ?? each}</label>
          </span>
        ))}
      </span>
      {problem && <Problem small>{problem}</Problem>}
    </fieldset>
  )
}
