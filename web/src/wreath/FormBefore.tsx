import type { Declarations } from "../keep/client"
import { FieldControl } from "../pieces/FieldControl"
import { OpenChoice } from "../pieces/OpenChoice"
import { withMaterials } from "./layers"
import { useKnownMaterials } from "./useKnownMaterials"
import { put } from "./places"
import type { StageProps } from "./stageProps"
import { Field } from "../pieces/Field"

type Said = Record<string, unknown>

interface Props extends Pick<StageProps, "plan" | "worked" | "problems" | "onChange"> {
  field: Declarations["forms"]["before"]
}

/** What goes with what is on the form already. */
const GOES_WITH: Record<string, string[]> = { covered: ["thickness", "colour"], strip: ["saves", "saved"] }

/** What is on the form already: nothing, a covering that stays, or one that is stripped and partly saved. */
export function FormBefore({ field, plan, worked, problems, onChange }: Props) {
  const known = useKnownMaterials(plan)
  const before = plan.form.before as string | Said | undefined
  const said: Said = typeof before === "string" ? { state: before } : (before ?? {})
  const state = String(said.state ?? (before ? "covered" : "bare"))
  const change = (next: Said) => onChange(withMaterials(put(plan, "form.before", next), known))
  return (
    <>
      <Field label={field.label} place="form.before">
        <OpenChoice
          label={field.label}
          name="form.before"
          value={state}
          choices={field.choices ?? []}
          onChange={(next) =>
            next === "bare" ? onChange(put(plan, "form.before", undefined)) : change({ state: next })
          }
        />
      </Field>
      {field.fields
        ?.filter(({ name }) => GOES_WITH[state]?.includes(name))
        .map((each) => (
          <FieldControl
            key={each.name}
            field={each}
            place={`form.before.${each.name}`}
            value={said[each.name]}
            understood={problems.length > 0 ? undefined : worked?.lengths[`form.before.${each.name}`]}
            problem={problems.find(({ at }) => at === `form.before.${each.name}`)?.says}
            materials={known}
            onChange={(value) => change({ ...said, state, [each.name]: value })}
          />
        ))}
    </>
  )
}
