import type { Covering, Plan, PlanLayer, WorkedPlan } from "../keep/client"
import { FieldControl } from "../pieces/FieldControl"
import { OpenChoice } from "../pieces/OpenChoice"
import { alongOf, wayOptions } from "./along"
import { put } from "./places"
import { Field } from "../pieces/Field"

interface Props {
  plan: Plan
  layer: PlanLayer
  place: string
  covering?: Covering
  worked?: WorkedPlan
  problemAt: (at: string) => string | undefined
  understood: (at: string) => string | undefined
  onChange: (plan: Plan) => void
}

/** How far along the form a covering goes: all the way, or from one place to another; and on which part of it. */
export function PartOfWay({ plan, layer, place, covering, worked, problemAt, understood, onChange }: Props) {
  const options = wayOptions(covering)
  if (!options) return null
  const partly = layer.from !== undefined || layer.to !== undefined
  const control = (field: (typeof options)["from"]) => (
    <FieldControl
      key={field.name}
      field={field}
      place={`${place}.${field.name}`}
      value={layer[field.name]}
      understood={understood(`${place}.${field.name}`)}
      problem={problemAt(`${place}.${field.name}`)}
      onChange={(value) => onChange(put(plan, `${place}.${field.name}`, value))}
    />
  )
  return (
    <>
      {(worked?.drawing.form.members ?? 1) > 1 && control(options.part)}
      <Field label="How far">
        <OpenChoice
          label="How far it goes"
          name={`${place}.way`}
          value={partly ? "part" : "all"}
          choices={[
            { value: "all", says: "All the way" },
            { value: "part", says: "Part of it" },
          ]}
          onChange={(chosen) => {
            const [from, to] = chosen === "part" ? alongOf(worked) : [undefined, undefined]
            onChange(put(put(plan, `${place}.from`, from), `${place}.to`, to))
          }}
        />
      </Field>
      {partly && [options.from, options.to].map(control)}
    </>
  )
}
