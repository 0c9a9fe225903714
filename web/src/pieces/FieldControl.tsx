import { useId, useState } from "react"
import type { Field, Material } from "../keep/client"
import { OpenChoice } from "./OpenChoice"
import { Prose } from "./Prose"

interface Props {
  field: Field
  /** The field's place in the document, as problems name it. */
  place: string
  value: unknown
  /** The value as it was understood, in the maker's own units. */
  understood?: string
  /** What it comes to when nothing is said. */
  fallback?: string
  problem?: string
  /** What a field that names a material can name. */
  materials?: Material[]
  onChange: (value: unknown) => void
}

/** One row of a ruled sheet: what it is on the left, a control drawn from the field's declaration on the right. */
export function FieldControl(props: Props) {
  const { field, problem, place } = props
  const id = useId()
  const help = field.help ?? field.default_says
  return (
    <div className="row" data-place={place}>
      <div>
        {field.kind === "choice" ? <span>{field.label}</span> : <label htmlFor={id}>{field.label}</label>}
        {help && (
          <p id={`${id}-help`} className="text-sm leading-snug text-quiet">
            {field.help ?? `Left empty: ${field.default_says}.`}
          </p>
        )}
      </div>
      <Control {...props} id={id} />
      {problem && (
        <p id={`${id}-problem`} role="alert" className="col-span-2 text-sm font-semibold text-error">
          <Prose>{problem}</Prose>
        </p>
      )}
    </div>
  )
}

function Control({
  field,
  place,
  value,
  understood,
  fallback,
  problem,
  materials,
  onChange,
  id,
}: Props & { id: string }) {
  const [draft, setDraft] = useState<string>()
  if (field.kind === "choice" && field.choices) {
    const chosen = String(value ?? field.default ?? fallback ?? "")
    if (field.choices.length <= 4)
      return (
        <OpenChoice label={field.label} name={place} value={chosen} choices={field.choices} onChange={onChange} />
      )
    return (
      <select
        id={id}
        aria-label={field.label}
        className="field-input w-44 text-left"
        value={chosen}
        onChange={(event) => onChange(event.target.value || undefined)}
      >
        {!field.required && field.default === undefined && (
          <option value="">{field.choices.find((choice) => choice.value === fallback)?.says ?? "—"}</option>
        )}
        {field.choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.says}
          </option>
        ))}
      </select>
    )
  }
  if (field.kind === "reference") {
    const fits = materials?.filter((material) => field.kinds?.includes(material.kind)) ?? []
    return (
      <select
        id={id}
        aria-label={field.label}
        className="field-input w-56 text-left"
        value={typeof value === "string" ? value : ""}
        onChange={(event) => onChange(event.target.value || undefined)}
      >
        <option value="">{fits.length === 0 ? "Nothing in the stash fits" : "—"}</option>
        {fits.map((material) => (
          <option key={material.id} value={material.id}>
            {material.name}
          </option>
        ))}
      </select>
    )
  }
  if (field.kind === "switch") {
    return (
      <input
        id={id}
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={value === true}
        onChange={(event) => onChange(event.target.checked || undefined)}
      />
    )
  }
  if (field.kind === "colour") {
    return (
      <input
        id={id}
        type="color"
        className="h-9 w-16 cursor-pointer"
        value={typeof value === "string" ? value : usualColour()}
        onChange={(event) => onChange(event.target.value)}
      />
    )
  }
  const shown =
    draft ?? (problem === undefined ? understood : undefined) ?? (value === undefined ? "" : String(value))
  const kept = typeof value === "number" || NUMERIC.includes(field.kind)
  return (
    <input
      id={id}
      className={`field-input ${field.kind === "text" ? "w-56 text-left" : ""}`}
      type="text"
      autoComplete="off"
      inputMode={field.kind === "count" ? "numeric" : undefined}
      value={shown}
      placeholder={fallback}
      aria-invalid={problem !== undefined}
      aria-describedby={
        [field.help || field.default_says ? `${id}-help` : "", problem ? `${id}-problem` : ""].join(" ").trim() ||
        undefined
      }
      onFocus={(event) => {
        setDraft(shown)
        event.target.select()
      }}
      onBlur={() => setDraft(undefined)}
      onChange={(event) => {
        setDraft(event.target.value)
        onChange(written(event.target.value, field, kept))
      }}
    />
  )
}

/** Kinds of field that hold a number where one is written. */
const NUMERIC = ["count", "number", "area", "stop", "spot"]

/** What a maker wrote, as the document holds it: nothing for an empty field, a number where it is plainly one. */
function written(text: string, field: Field, numeric: boolean): unknown {
  const trimmed = text.trim()
  if (trimmed === "") return undefined
  if (["length", ...NUMERIC].includes(field.kind) && numeric && /^\d+(\.\d+)?$/.test(trimmed)) return Number(trimmed)
  return field.kind === "length" && /^\d+(\.\d+)?$/.test(trimmed) ? Number(trimmed) : text
}

/** Where nobody said a colour, the picker begins with the theme's cord: it takes no name of a colour. */
const usualColour = () => getComputedStyle(document.documentElement).getPropertyValue("--rope").trim()
