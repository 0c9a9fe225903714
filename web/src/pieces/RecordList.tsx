import { Fragment, lazy, Suspense } from "react"
import type { Field, Material, Problem as Said } from "../keep/client"
import { applies } from "./applies"
import { FieldControl } from "./FieldControl"
import type { Choice } from "./Select"
import { Problem } from "./Problem"

const RowsInOrder = lazy(async () => ({ default: (await import("./RowsInOrder")).RowsInOrder }))

type Record_ = Record<string, unknown>
interface Props {
  field: Field
  place: string
  records: unknown
  materials: Material[]
  /** What a field that names a layer can name. */
  layers?: Choice[]
  /** What it is while none are said. */
  usual?: Record_[]
  problems: Said[]
  /** A length as it was understood, by its place. */
  understood: (place: string) => string | undefined
  onChange: (records: Record_[] | undefined) => void
}

/** A list of records, each with its own fields, drawn from the list's declaration. */
export function RecordList({
  field,
  place,
  records,
  materials,
  layers,
  usual,
  problems,
  understood,
  onChange,
}: Props) {
  const list = Array.isArray(records) ? (records as Record_[]) : []
  const fields = field.of?.fields ?? []
  const word = field.of?.label.replace(/^An? /, "") ?? "part"
  const at = (name: string) => problems.find((problem) => problem.at === name)?.says
  const change = (index: number, name: string, value: unknown) => {
    const { [name]: _, ...rest } = list[index] ?? {}
    onChange(list.map((each, i) => (i === index ? (value === undefined ? rest : { ...rest, [name]: value }) : each)))
  }
  return (
    <fieldset className="py-2">
      <legend className="font-semibold">{field.label}</legend>
      {list.length === 0 && field.default_says && (
        <p className="text-sm text-quiet">
          Left empty: {field.default_says}.{" "}
          {usual && (
            <button type="button" className="link" onClick={() => onChange(usual)}>
              Begin with that
            </button>
          )}
        </p>
      )}
      {list.length > 0 && (
        <Suspense fallback={<div className="h-24" />}>
          <RowsInOrder word={word} onMove={(from, to) => onChange(moved(list, from, to))}>
            {list.map((record, index) => (
              <Fragment key={index}>
                {fields
                  .filter((each) => applies(each, fields, record))
                  .map((each) => (
                    <FieldControl
                      key={each.name}
                      field={each}
                      place={`${place}.${index}.${each.name}`}
                      value={record[each.name]}
                      materials={materials}
                      layers={layers}
                      understood={understood(`${place}.${index}.${each.name}`)}
                      problem={at(`${place}.${index}.${each.name}`)}
                      fallback={each.default === undefined ? undefined : String(each.default)}
                      onChange={(value) => change(index, each.name, value)}
                    />
                  ))}
                <p className="py-1 text-right">
                  <button
                    type="button"
                    className="link text-sm"
                    onClick={() => onChange(list.length === 1 ? undefined : list.filter((_, i) => i !== index))}
                  >
                    Take {word} {index + 1} out
                  </button>
                </p>
              </Fragment>
            ))}
          </RowsInOrder>
        </Suspense>
      )}
      <button type="button" className="btn mt-1" onClick={() => onChange([...list, {}])}>
        Add a {word}
      </button>
      {at(place) && <Problem small>{at(place)}</Problem>}
    </fieldset>
  )
}

const moved = (list: Record_[], from: number, to: number) => {
  const others = list.filter((_, index) => index !== from)
  return [...others.slice(0, to), list[from]!, ...others.slice(to)]
}
