import type { Declarations, Field as Declared, Material } from "../keep/client"
import { FieldControl } from "../pieces/FieldControl"
import { Field } from "../pieces/Field"

type Part = Record<string, unknown>
interface Props {
  parts: Part[]
  shapes: Declarations["forms"]["shapes"]
  placing: Declared[]
  /** What each of them may be of the stash. */
  materials: Material[]
  control: (place: string) => {
    place: string
    value: unknown
    understood?: string
    problem?: string
    onChange: (value: unknown) => void
  }
  onChange: (parts: Part[]) => void
}

/** The forms that are joined into one: each with its sizes and its place. */
export function JoinedParts({ parts, shapes, placing, materials, control, onChange }: Props) {
  const choices = shapes.filter((shape) => shape.name !== "composite" && shape.name !== "outline")
  const fieldsOf = (part: Part) =>
    shapes
      .find((shape) => shape.name === part.shape)
      ?.fields.filter((field) => field.name !== "face" && field.kind !== "list") ?? []
  return (
    <div className="py-1">
      {parts.map((part, index) => (
        <details key={index} className="border-b border-base-300" open={index === 0}>
          <summary className="cursor-pointer py-2 font-semibold">
            Part {index + 1}: {shapes.find((shape) => shape.name === part.shape)?.title ?? "unknown"}
          </summary>
          <Field label="Shape">
            {(labelled) => (
              <select
                {...labelled}
                className="select w-44 text-left"
                value={String(part.shape)}
                onChange={(event) =>
                  onChange(
                    parts.map((each, i) => (i === index ? placed(each, event.target.value, shapes, placing) : each)),
                  )
                }
              >
                {choices.map((each) => (
                  <option key={each.name} value={each.name}>
                    {each.title}
                  </option>
                ))}
              </select>
            )}
          </Field>
          {[...fieldsOf(part), ...placing].map((field) => (
            <FieldControl
              key={field.name}
              field={field}
              materials={materials}
              fallback={field.default === undefined ? undefined : String(field.default)}
              {...control(`form.parts.${index}.${field.name}`)}
            />
          ))}
          {parts.length > 2 && (
            <p className="py-2 text-right">
              <button
                type="button"
                className="link text-sm"
                onClick={() => onChange(parts.filter((_, i) => i !== index))}
              >
                Take part {index + 1} away
              </button>
            </p>
          )}
        </details>
      ))}
      {parts.length < 8 && (
        <p className="py-2">
          <button
            type="button"
            className="btn"
            onClick={() => onChange([...parts, { ...placed({}, "ring", shapes, placing) }])}
          >
            Join another form
          </button>
        </p>
      )}
    </div>
  )
}

/** A part of another shape, in the same place. */
function placed(part: Part, shape: string, shapes: Declarations["forms"]["shapes"], placing: Declared[]): Part {
  const kept = Object.fromEntries(
    placing
      .filter((field) => part[field.name] !== undefined && !field.name.startsWith("cut_"))
      .map((field) => [field.name, part[field.name]]),
  )
  const { face: _, ...typical } = shapes.find((each) => each.name === shape)?.typical ?? {}
  return { shape, ...typical, ...kept }
}
