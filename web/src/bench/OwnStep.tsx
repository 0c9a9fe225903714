import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, type Plan, type Step, type Wreath } from "../keep/client"
import { keys } from "../keep/keys"
import { useDeclarations } from "../keep/queries"
import { Dialog } from "../pieces/Dialog"
import { FieldControl } from "../pieces/FieldControl"
import { behind, ownOf, withOwn } from "./ownSteps"
import { Problem } from "../pieces/Problem"

interface Props {
  wreath: Wreath
  step: Step
  steps: Step[]
}

/** A step of the maker’s own, written down where the need for it is seen: behind the step on the table. */
export function OwnStep({ wreath, step, steps }: Props) {
  const [open, setOpen] = useState(false)
  const own = ownOf(wreath.plan, step)
  return (
    <p>
      <button type="button" className="link min-h-11" onClick={() => setOpen(true)}>
        {own === undefined ? "Add a step of your own behind this" : "Change this step"}
      </button>
      {open && <Writing wreath={wreath} step={step} steps={steps} own={own} onClose={() => setOpen(false)} />}
    </p>
  )
}

/** What is written of a step here; where it stands is where it is written. */
const WRITTEN = ["title", "says", "minutes"]

function Writing({ wreath, step, steps, own, onClose }: Props & { own?: number; onClose: () => void }) {
  const { plan } = wreath
  const queries = useQueryClient()
  const fields = useDeclarations().data?.steps.of?.fields?.filter(({ name }) => WRITTEN.includes(name)) ?? []
  const before = own === undefined ? { after: behind(steps, step) } : (plan.steps?.[own] ?? {})
  const [draft, setDraft] = useState<Record<string, unknown>>(before)
  const keep = useMutation({
    mutationFn: async (next: Plan) =>
      answered(
        await api.PUT("/wreaths/{id}", {
          params: { path: { id: wreath.id } },
          body: { version: wreath.version, plan: next },
        }),
      ),
    onSuccess: (kept) => {
      queries.setQueryData(keys.wreath(wreath.id), kept)
      onClose()
    },
  })
  const titled = String(draft.title ?? "").trim() !== ""
  return (
    <Dialog title={own === undefined ? `After: ${step.title}` : "Your own step"} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (titled) keep.mutate(withOwn(plan, own, draft))
        }}
      >
        {fields.map((field) => (
          <FieldControl
            key={field.name}
            field={field}
            place={`own.${field.name}`}
            value={draft[field.name]}
            fallback={field.default === undefined ? undefined : String(field.default)}
            onChange={(value) => setDraft({ ...draft, [field.name]: value })}
          />
        ))}
        {keep.isError && <Problem>{keep.error.message}</Problem>}
        <p className="flex gap-3 pt-4">
          <button type="submit" className="btn btn-primary min-h-11" disabled={!titled || keep.isPending}>
            {own === undefined ? "Add it" : "Save"}
          </button>
          {own !== undefined && (
            <button type="button" className="btn min-h-11" onClick={() => keep.mutate(withOwn(plan, own, undefined))}>
              Take it out
            </button>
          )}
        </p>
      </form>
    </Dialog>
  )
}
