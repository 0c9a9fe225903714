import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import {
  answered,
  api,
  Refusal,
  type Declarations,
  type Field,
  type Material,
  type StashMaterial,
  type Units,
} from "../keep/client"
import { askAgain, touched } from "../keep/keys"
import { Dialog } from "../pieces/Dialog"
import { FieldControl } from "../pieces/FieldControl"
import { put, valueAt } from "../wreath/places"
import { slug } from "./slug"
import { Problem } from "../pieces/Problem"

interface Props {
  stashed?: StashMaterial
  units: Units
  kinds: Declarations["materials"]
  /** What it may be put on with. */
  others: Material[]
  onClose: () => void
}

type Draft = Partial<Material> & Record<string, unknown>

/** Adds or changes one material: what it is, how it is sold, what of it is on hand. */
export function MaterialForm({ stashed, units, kinds, others, onClose }: Props) {
  const [draft, setDraft] = useState<Draft>(stashed?.material ?? { kind: "rope", offers: [], on_hand: [] })
  const queries = useQueryClient()
  const fields = kinds.find(({ kind }) => kind === draft.kind)?.fields ?? []
  const done = () => {
    void askAgain(queries, [...touched.stash, "bin"])
    onClose()
  }
  const save = useMutation({
    mutationFn: async () => {
      const material = { ...draft, id: draft.id ?? slug(draft.name) } as Record<string, unknown>
      return stashed
        ? answered(
            await api.PUT("/materials/{id}", {
              params: { path: { id: stashed.id } },
              body: { version: stashed.version, units, material },
            }),
          )
        : answered(await api.POST("/materials", { body: { units, material } }))
    },
    onSuccess: done,
  })
  const remove = useMutation({
    mutationFn: async () =>
      answered(
        await api.DELETE("/materials/{id}", {
          params: { path: { id: stashed!.id }, query: { version: stashed!.version } },
        }),
      ),
    onSuccess: done,
  })
  const refusal = save.error ?? remove.error
  const problems =
    refusal instanceof Refusal
      ? refusal.problems
      : refusal
        ? [{ at: "", says: "The server did not answer; what you typed is still here." }]
        : []
  const control = (field: Field, place: string) => (
    <FieldControl
      key={`${draft.kind ?? ""}.${place}`}
      field={field}
      place={place}
      value={valueAt(draft, place)}
      materials={others}
      understood={
        same(valueAt(draft, place), valueAt(stashed?.material, place)) ? stashed?.lengths[place] : undefined
      }
      problem={problems.find((problem) => problem.at === place)?.says}
      onChange={(value, beside) => setDraft({ ...put(draft, place, value), ...beside })}
    />
  )
  const general = problems.filter((problem) => problem.at === "" || problem.at === "version" || problem.at === "id")
  return (
    <Dialog title={stashed ? stashed.material.name : "A new material"} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          save.mutate()
        }}
      >
        {general.map((problem) => (
          <Problem key={problem.says}>{problem.says}</Problem>
        ))}
        {fields
          // What is cut out of a photo comes with it.
          .filter(({ name, kind }) => name !== "id" && kind !== "list" && kind !== "record")
          .map((field) => control(field, field.name))}
        {fields
          // What was tried with it is practised, not typed.
          .filter((field) => field.kind === "list" && field.name !== "tried")
          .map((list) => (
            <Entries
              key={`${draft.kind ?? ""}.${list.name}`}
              list={list}
              entries={(draft[list.name] as unknown[] | undefined) ?? []}
              onChange={(entries) => setDraft({ ...draft, [list.name]: entries })}
              control={control}
            />
          ))}
        <div className="flex gap-3 pt-4">
          <button type="submit" className="btn btn-primary" disabled={save.isPending}>
            Save
          </button>
          {stashed && (
            <button type="button" className="btn ml-auto" onClick={() => remove.mutate()}>
              Remove from the stash
            </button>
          )}
        </div>
      </form>
    </Dialog>
  )
}

/** The entries of a list field, each with its own controls. */
function Entries({
  list,
  entries,
  onChange,
  control,
}: {
  list: Field
  entries: unknown[]
  onChange: (entries: unknown[]) => void
  control: (field: Field, place: string) => React.ReactNode
}) {
  const of = list.of
  if (!of) return null
  return (
    <fieldset className="pt-3">
      <legend className="font-semibold">{list.label}</legend>
      {entries.map((_, index) => (
        <div key={index} className="flex items-center gap-3">
          <div className="flex-1">
            {of.kind === "record"
              ? of.fields?.map((field) => control(field, `${list.name}.${index}.${field.name}`))
              : control(of, `${list.name}.${index}`)}
          </div>
          <button
            type="button"
            className="link text-sm"
            onClick={() => onChange(entries.filter((_, i) => i !== index))}
          >
            Take out
          </button>
        </div>
      ))}
      <button
        type="button"
        className="btn mt-2"
        onClick={() => onChange([...entries, of.kind === "record" ? {} : ""])}
      >{`Add ${of.label[0]?.toLowerCase()}${of.label.slice(1)}`}</button>
    </fieldset>
  )
}

/** What is still as it was saved is shown as it was understood. */
const same = (now: unknown, saved: unknown) => saved !== undefined && now === saved
