import { useMutation } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, type Wreath } from "../keep/client"
import { Dialog } from "../pieces/Dialog"
import { Problem } from "../pieces/Problem"

interface Props {
  wreath: Wreath
  unsure: NonNullable<Wreath["unsure"]>
  onDone: () => void
}

/** What came along with a plan may be in the stash under another name: asked, once it was taken in. */
export function WhichOfYours({ wreath, unsure, onDone }: Props) {
  const [instead, setInstead] = useState<Record<string, string>>({})
  const take = useMutation({
    mutationFn: async () => {
      const said = Object.fromEntries(Object.entries(instead).filter(([, id]) => id))
      if (Object.keys(said).length === 0) return
      answered(
        await api.PUT("/wreaths/{id}/instead", {
          params: { path: { id: wreath.id } },
          body: { version: wreath.version, instead: said },
        }),
      )
    },
    onSuccess: onDone,
  })
  return (
    <Dialog title="Which of yours is it?" onClose={onDone}>
      <p className="pb-2">“{wreath.name}” is among your wreaths. What it is made of may be in your stash already.</p>
      {unsure.map(({ id, name, like }) => (
        <label key={id} className="flex flex-wrap items-center justify-between gap-3 border-b border-base-300 py-2">
          {name}
          <select
            className="select w-64 max-w-full"
            value={instead[id] ?? ""}
            onChange={(event) => setInstead({ ...instead, [id]: event.target.value })}
          >
            <option value="">A thing of its own</option>
            {like.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}
              </option>
            ))}
          </select>
        </label>
      ))}
      {take.isError && <Problem className="pt-2">{take.error.message}</Problem>}
      <button type="button" className="btn btn-primary mt-3" disabled={take.isPending} onClick={() => take.mutate()}>
        Go on
      </button>
    </Dialog>
  )
}
