import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, type CutBar, type Wreath } from "../keep/client"
import { askAgain, keys, touched } from "../keep/keys"
import { useSettings } from "../keep/queries"
import { Problem } from "../pieces/Problem"

/** Made, and nothing was taken out of the stash for it: asked once. */
export function Uncut({ wreath, sheet }: { wreath: Wreath; sheet: CutBar[] }) {
  const queries = useQueryClient()
  const asked = useSettings().data?.ask_uncut !== "no"
  const [left, setLeft] = useState(false)
  const cut = useMutation({
    mutationFn: async () =>
      answered(
        await api.POST("/wreaths/{id}/cut", {
          params: { path: { id: wreath.id } },
          body: { version: wreath.version, cut_sheet: sheet },
        }),
      ),
    onSuccess: (kept) => {
      queries.setQueryData(keys.wreath(wreath.id), kept)
      return askAgain(
        queries,
        touched.stash.filter((about) => about !== "wreath"),
      )
    },
  })
  if (cut.isSuccess) {
    return (
      <p role="status" className="py-2 font-semibold text-secondary">
        Its material is out of the stash, the remnants are in it.
      </p>
    )
  }
  if (wreath.cut || left || !asked || sheet.length === 0) return null
  return (
    <div className="border-l-4 border-primary pl-3">
      <p className="flex flex-wrap items-center gap-3">
        Nothing was taken out of the stash for it.
        <button type="button" className="btn min-h-11" disabled={cut.isPending} onClick={() => cut.mutate()}>
          Take it out
        </button>
        <button type="button" className="link min-h-11" onClick={() => setLeft(true)}>
          Leave it
        </button>
      </p>
      {cut.isError && <Problem>{cut.error.message}</Problem>}
    </div>
  )
}
