import { memo, useId, useState } from "react"
import type { Field as Declared, Material } from "../keep/client"
import { Field, type Labelled } from "./Field"
import { OpenChoice } from "./OpenChoice"
import { PictureControl } from "./PictureControl"
import { Select, type Choice } from "./Select"
import { useLatest } from "./useLatest"

interface Props {
  field: Declared
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
  /** What a field that names a layer can name. */
  layers?: Choice[]
  /** A material that is not there yet is wanted here. */
  onAdd?: () => void
  /** @param beside values of other fields that come with it: a photo brings its colour */
  onChange: (value: unknown, beside?: Record<string, unknown>) => void
}

/**
 * One row of a ruled sheet: what it is on the left, a control drawn from the field's declaration on the right. It is
 * drawn anew only when something that it shows has changed.
 */
export function FieldControl({ materials, layers, onAdd, onChange, ...shown }: Props) {
  const { field } = shown
  const [change, add] = [useLatest(onChange), useLatest(onAdd ?? nothing)]
  const names = field.kind === "reference" || field.fields !== undefined
  return (
    <Row
      {...shown}
      materials={names ? materials : undefined}
      layers={field.kind === "layer" || field.fields !== undefined ? layers : undefined}
      onAdd={onAdd && add}
      onChange={change}
    />
  )
}

const nothing = () => {}

const Row = memo(function Row(props: Props) {
  const { field, problem, place } = props
  const help = field.help ?? (field.default_says && `Left empty: ${field.default_says}.`)
  return (
    <Field label={field.label} help={help} problem={problem} place={place}>
      {field.kind === "choice" && field.fields ? (
        <EitherControl {...props} />
      ) : field.kind === "choice" && field.choices ? (
        <ChoiceControl {...props} />
      ) : (
        (labelled) => <Control {...props} labelled={labelled} />
      )}
    </Field>
  )
})

type Controlled = Props & { labelled: Labelled }

function Control(props: Controlled) {
  const { field, place, value, fallback, onChange, labelled } = props
  const { id } = labelled
  const text = typeof value === "string" ? value : ""
  if (field.kind === "reference") {
    const fits = props.materials?.filter((material) => field.kinds?.includes(material.kind)) ?? []
    const choices = fits.map((material) => ({ value: material.id, says: material.name }))
    const none = fits.length === 0 ? "Nothing in the stash fits" : "—"
    return (
      <Select
        id={id}
        label={field.label}
        value={text}
        none={none}
        choices={props.onAdd ? [...choices, { value: ADD, says: "Add a material…" }] : choices}
        onChange={(value) => (value === ADD ? props.onAdd?.() : onChange(value))}
      />
    )
  }
  if (field.kind === "layer") {
    const choices = [...(field.choices ?? []), ...(props.layers ?? [])]
    const none = field.default_says ? sentence(field.default_says) : "Choose one"
    return <Select id={id} label={field.label} value={text} none={none} choices={choices} onChange={onChange} />
  }
  if (field.kind === "list") return <Counts {...props} />
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
  if (field.kind === "day") {
    return (
      <input
        {...labelled}
        type="date"
        className="input w-44"
        value={text}
        onChange={(event) => onChange(event.target.value || undefined)}
      />
    )
  }
  if (field.kind === "picture")
    return <PictureControl id={id} value={value} outlined={field.outlined} onChange={onChange} />
  if (field.kind === "spot") {
    return (
      <span className="flex flex-wrap items-center justify-end gap-3">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={value === MIDDLE}
            onChange={(event) => onChange(event.target.checked ? MIDDLE : undefined)}
          />
          In the middle of the opening
        </label>
        {value !== MIDDLE && <Written {...props} key={place} fallback={fallback} />}
      </span>
    )
  }
  return <Written {...props} key={place} fallback={fallback} />
}

/** Stands for a material that is still to be added. */
const ADD = "+"

/** Where something is that hangs in the opening. */
const MIDDLE = "middle"

/** What is written: a length, a number, words. */
function Written({ field, value, understood, fallback, problem, onChange, labelled }: Controlled) {
  const [draft, setDraft] = useState<string>()
  const shown =
    draft ?? (problem === undefined ? understood : undefined) ?? (value === undefined ? "" : String(value))
  const kept = typeof value === "number" || NUMERIC.includes(field.kind)
  return (
    <input
      {...labelled}
      className={`input ${field.kind === "text" ? "w-56 text-left" : ""}`}
      type="text"
      autoComplete="off"
      inputMode={field.kind === "count" ? "numeric" : undefined}
      value={shown}
      placeholder={fallback}
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

/** Several whole numbers, written one after another: "1, 3". */
function Counts({ field, value, onChange, labelled }: Controlled) {
  const [draft, setDraft] = useState<string>()
  const numbers = Array.isArray(value) ? value.map(String).join(", ") : ""
  return (
    <input
      {...labelled}
      className="input"
      type="text"
      value={draft ?? numbers}
      placeholder={field.default_says}
      onFocus={() => setDraft(numbers)}
      onBlur={() => setDraft(undefined)}
      onChange={(event) => {
        setDraft(event.target.value)
        const said = event.target.value.split(/[\s,;]+/).filter(Boolean)
        onChange(said.length > 0 ? said.map((each) => (/^\d+$/.test(each) ? Number(each) : each)) : undefined)
      }}
    />
  )
}

/** One of a few words; with "something else", a field for the maker’s own. */
function ChoiceControl({ field, place, value, fallback, onChange }: Props) {
  const id = useId()
  const choices = field.choices ?? []
  const said = String(value ?? field.default ?? fallback ?? "")
  if (choices.length <= 4) {
    return <OpenChoice label={field.label} name={place} value={said} choices={choices} onChange={onChange} />
  }
  const own = field.open && !choices.some((choice) => choice.value === said)
  const none =
    field.required || field.default !== undefined
      ? undefined
      : (choices.find((choice) => choice.value === fallback)?.says ?? "—")
  return (
    <span className="flex flex-wrap justify-end gap-2">
      <Select
        id={id}
        label={field.label}
        value={own ? OTHER : said}
        none={none}
        choices={choices}
        onChange={onChange}
      />
      {field.open && (own || said === OTHER) && (
        <input
          className="input w-44 text-left"
          aria-label={`${field.label}, in your own words`}
          placeholder="in your own words"
          maxLength={60}
          value={own ? said : ""}
          onChange={(event) => onChange(event.target.value || OTHER)}
        />
      )}
    </span>
  )
}

/** One of a few words, or more about it in fields of its own. */
function EitherControl(props: Props) {
  const { field, place, value, fallback, onChange } = props
  const said = typeof value === "object" && value !== null ? (value as Record<string, unknown>) : undefined
  const change = (name: string, next: unknown) => {
    const { [name]: _, ...rest } = said ?? {}
    onChange(next === undefined ? rest : { ...rest, [name]: next })
  }
  return (
    <span className="block min-w-0">
      <span className="block text-right">
        <Select
          id={`${place}.kind`}
          label={field.label}
          value={said ? OTHER : String(value ?? "")}
          none={field.choices?.find((choice) => choice.value === fallback)?.says ?? "As is usual"}
          choices={[...(field.choices ?? []), { value: OTHER, says: "Something of the stash…" }]}
          onChange={(next) => onChange(next === OTHER ? {} : next)}
        />
      </span>
      {said &&
        field.fields?.map((each) => (
          <FieldControl
            key={each.name}
            {...props}
            field={each}
            place={`${place}.${each.name}`}
            value={said[each.name]}
            understood={undefined}
            fallback={undefined}
            problem={undefined}
            onAdd={undefined}
            onChange={(next) => change(each.name, next)}
          />
        ))}
    </span>
  )
}

/** What stands for something that the list does not know. */
const OTHER = "other"

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** Kinds of field that hold a number where one is written. */
const NUMERIC = ["count", "number", "area", "stop", "spot"]

/** What a maker wrote, as the document holds it: nothing for an empty field, a number where it is plainly one. */
function written(text: string, field: Declared, numeric: boolean): unknown {
  const trimmed = text.trim()
  if (trimmed === "") return undefined
  if (["length", ...NUMERIC].includes(field.kind) && numeric && /^\d+(\.\d+)?$/.test(trimmed)) return Number(trimmed)
  return field.kind === "length" && /^\d+(\.\d+)?$/.test(trimmed) ? Number(trimmed) : text
}

/** Where nobody said a colour, the picker begins with the theme's cord: it takes no name of a colour. */
const usualColour = () => getComputedStyle(document.documentElement).getPropertyValue("--rope").trim()
