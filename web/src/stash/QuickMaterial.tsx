import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, Refusal, type Field as Declared, type Material, type Units } from "../keep/client"
import { askAgain, touched } from "../keep/keys"
import { useDeclarations } from "../keep/queries"
import { Dialog } from "../pieces/Dialog"
import { FieldControl } from "../pieces/FieldControl"
import { OpenChoice } from "../pieces/OpenChoice"
import { put, valueAt } from "../wreath/places"
import { slug } from "./slug"
import { Problem } from "../pieces/Problem"
import { Field } from "../pieces/Field"
import { Fold } from "../pieces/Fold"

interface Props {
  /** The kinds that will do where it is wanted. */
  kinds: string[]
  units: Units
  /** What the wreath is made of already: a new one is another colour. */
  beside?: Material[]
  /** Told of each, and how many were added in a row before it. */
  onAdded: (material: Material, before: number) => void
  onClose: () => void
}

/** What makes a kind what it is; everything else can be said later, in the stash. */
const ESSENTIAL = ["name", "width", "wired", "diameter", "sort", "picture", "colour"]
/** Of a thing also its size. */
const OF_THING = [...ESSENTIAL, "picture_width"]
const OF_OFFER = ["length", "width", "count", "price"]
const ON_SALE = ["sale_price", "sale_from", "sale_every"]

type Draft = Partial<Material> & Record<string, unknown>

/** A material added where it is wanted: its name, how wide it is, its colour, and what one costs. */
export function QuickMaterial({ kinds, units, beside = [], onAdded, onClose }: Props) {
  const declared = useDeclarations().data?.materials ?? []
  const queries = useQueryClient()
  const [added, setAdded] = useState<Material[]>([])
  const fresh = (kind: unknown, others: Material[]) =>
    declared
      .find((each) => each.kind === kind)
      ?.fields.find(({ name }) => name === "colour")
      ?.choices?.find(({ value }) => !others.some((other) => other.colour === value))?.value
  const [draft, setDraft] = useState<Draft>({
    kind: kinds[0] as Material["kind"],
    name: "",
    colour: fresh(kinds[0], beside),
    offers: [{}],
    on_hand: [],
  })
  const fields = declared.find(({ kind }) => kind === draft.kind)?.fields ?? []
  const offer = fields.find(({ name }) => name === "offers")?.of?.fields ?? []
  const hand = fields.find(({ name }) => name === "on_hand")?.of
  // What goes with the old kind goes; what one costs stays.
  const priced = [{ price: valueAt(draft, "offers.0.price") as string | undefined }]
  const save = useMutation({
    mutationFn: async (_more: boolean) => {
      const on_hand = (draft.on_hand ?? []).filter((each: unknown) => each !== undefined && each !== "")
      // Of whose package nothing was said, none is known yet.
      const isSaid = (value: unknown) => value !== undefined && value !== ""
      const offers = (draft.offers ?? []).filter((each) => Object.values(each).some(isSaid))
      const material = { ...draft, offers, on_hand, id: slug(draft.name) } as Record<string, unknown>
      return answered(await api.POST("/materials", { body: { units, material } }))
    },
    onSuccess: ({ material }, more) => {
      void askAgain(queries, touched.stash)
      onAdded(material, added.length)
      if (!more) return onClose()
      const all = [...added, material]
      setAdded(all)
      setDraft({
        ...draft,
        name: "",
        colour: fresh(draft.kind, [...beside, ...all]),
        ...{ picture: undefined, cut_out: undefined },
        on_hand: [],
      })
    },
  })
  const problems = save.error instanceof Refusal ? save.error.problems : []
  const control = (field: Declared, place: string) => (
    <FieldControl
      key={`${draft.kind ?? ""}.${place}`}
      field={field}
      place={place}
      value={valueAt(draft, place)}
      problem={problems.find((problem) => problem.at === place)?.says}
      onChange={(value, beside) => setDraft({ ...put(draft, place, value), ...beside })}
    />
  )
  const chosen = (some: Declared[], names: string[]) =>
    names.flatMap((name) => some.filter((each) => each.name === name))
  return (
    <Dialog title="Add a material" onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          save.mutate(false)
        }}
      >
        {save.isError && problems.length === 0 && <Problem>{save.error.message}</Problem>}
        {kinds.length > 1 && (
          <Field label="Kind">
            <OpenChoice
              label="Kind of material"
              name="kind"
              value={String(draft.kind)}
              choices={declared
                .filter(({ kind }) => kinds.includes(kind))
                .map(({ kind, title }) => ({ value: kind, says: title }))}
              onChange={(kind) =>
                setDraft({
                  kind: kind as Material["kind"],
                  name: draft.name,
                  colour: draft.colour,
                  offers: priced,
                  on_hand: [],
                })
              }
            />
          </Field>
        )}
        {chosen(fields, fields.some(({ outlined }) => outlined) ? OF_THING : ESSENTIAL).map((field) =>
          control(field, field.name),
        )}
        <fieldset className="pt-2">
          <legend className="font-semibold">What one costs</legend>
          <p className="text-sm text-quiet">Left empty: it is said later, in the stash.</p>
          {chosen(offer, OF_OFFER).map((field) => control(field, `offers.0.${field.name}`))}
        </fieldset>
        <Fold
          summary="On hand, and on sale"
          urgent={problems.some(({ at }) => /^(on_hand|offers\.0\.sale)/.test(at))}
        >
          {hand?.fields
            ? hand.fields.map((field) => control(field, `on_hand.0.${field.name}`))
            : hand && control(hand, "on_hand.0")}
          {chosen(offer, ON_SALE).map((field) => control(field, `offers.0.${field.name}`))}
        </Fold>
        {added.length > 0 && (
          <p role="status" className="pt-2 text-quiet">
            Added: {added.map(({ name }) => name).join(", ")}.
          </p>
        )}
        <p className="flex gap-3 pt-4">
          <button type="submit" className="btn btn-primary" disabled={save.isPending}>
            Add it
          </button>
          <button type="button" className="btn" disabled={save.isPending} onClick={() => save.mutate(true)}>
            Add it, and another
          </button>
        </p>
      </form>
    </Dialog>
  )
}
