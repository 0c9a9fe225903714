import { useQueryClient } from "@tanstack/react-query"
import { memo, useState } from "react"
import { answered, api, saysOf, type ChangePlan, type Declarations, type Plan, type Units } from "../keep/client"
import { askAgain } from "../keep/keys"
import { useForms } from "../keep/queries"

interface Props {
  form: Plan["form"]
  units: Units
  shelf: Declarations["forms"]["shelf"]
  onChange: ChangePlan
}

type Own = NonNullable<ReturnType<typeof useForms>["data"]>

const NONE: Own = []

/** Forms to begin with: those that shops sell, and the maker's own, kept under a name. */
export function OwnForms({ form, units, shelf, onChange }: Props) {
  const queries = useQueryClient()
  const own = useForms().data ?? NONE
  const [name, setName] = useState<string>()
  const [said, setSaid] = useState("")
  const choose = async (picked: string) => {
    const [kind, number] = picked.split(" ")
    const onChoose = (form: Plan["form"]) => onChange((plan) => ({ ...plan, form }))
    if (kind === "shelf") onChoose(shelf[Number(number)]!.form)
    const mine = own.find((each) => kind === "own" && each.id === Number(number))
    if (!mine) return
    if (mine.units === units) return onChoose(mine.form)
    const other = answered(
      await api.POST("/ask/units", {
        body: {
          plan: { format: "crisp-lantern/plan", version: 1, units: mine.units, form: mine.form },
          to: units,
        },
      }),
    )
    onChoose(other.form)
  }
  const keep = async () => {
    const { data, error } = await api.POST("/forms", {
      body: { name: name!.trim(), units, form },
    })
    setSaid(data ? `Kept as “${data.name}”.` : saysOf(error))
    if (!data) return
    setName(undefined)
    await askAgain(queries, ["forms"])
  }
  return (
    <div className="row">
      <label htmlFor="form-shelf">
        Begin with
        <small className="block text-sm leading-snug text-quiet">
          Typical sizes, from memory. Labels lie: measure yours.
        </small>
      </label>
      <span className="flex flex-wrap items-center justify-end gap-2">
        <select
          id="form-shelf"
          className="select w-52 text-left"
          value=""
          onChange={(event) => void choose(event.target.value)}
        >
          <Choices own={own} shelf={shelf} />
        </select>
        {name === undefined && (
          <button
            type="button"
            className="btn"
            onClick={() => {
              setName("")
              setSaid("")
            }}
          >
            Keep this form
          </button>
        )}
      </span>
      {name !== undefined && (
        <form
          className="col-span-2 flex flex-wrap items-center justify-end gap-2 pt-1"
          onSubmit={(event) => {
            event.preventDefault()
            if (name.trim()) void keep()
          }}
        >
          <label htmlFor="form-name">Keep it as</label>
          <input
            id="form-name"
            className="input w-56 text-left"
            maxLength={120}
            value={name}
            autoFocus
            onChange={(event) => setName(event.target.value)}
          />
          <button type="submit" className="btn">
            Keep
          </button>
          <button type="button" className="link" onClick={() => setName(undefined)}>
            Leave it
          </button>
        </form>
      )}
      {said && (
        <p role="status" className="col-span-2 text-sm text-quiet">
          {said}
        </p>
      )}
    </div>
  )
}

const Choices = memo(function Choices({ own, shelf }: { own: Own; shelf: Props["shelf"] }) {
  return (
    <>
      <option value="">Choose a form…</option>
      {own.length > 0 && (
        <optgroup label="Your own">
          {own.map((each) => (
            <option key={each.id} value={`own ${each.id}`}>
              {each.name}
            </option>
          ))}
        </optgroup>
      )}
      <optgroup label="Typical">
        {shelf.map((each, index) => (
          <option key={each.name} value={`shelf ${index}`}>
            {each.name}
          </option>
        ))}
      </optgroup>
    </>
  )
})
