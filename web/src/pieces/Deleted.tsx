import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query"
import { answered, api } from "../keep/client"
import { askAgain, keys, touched } from "../keep/keys"
import { Problem } from "./Problem"

const WORDS = { wreaths: "wreath", materials: "material", occasions: "occasion" } as const
type Shelf = keyof typeof WORDS

/** Has one brought back; its problems are thrown. */
async function bringBack(shelf: Shelf, id: number): Promise<void> {
  const params = { params: { path: { id } } }
  if (shelf === "wreaths") answered(await api.POST("/bin/wreaths/{id}", params))
  else if (shelf === "materials") answered(await api.POST("/bin/materials/{id}", params))
  else answered(await api.POST("/bin/occasions/{id}", params))
}

/** What was deleted of a kind in the last thirty days, each with a way back. */
export function Deleted({ shelf }: { shelf: Shelf }) {
  const queries = useQueryClient()
  const bin = useQuery({ queryKey: keys.bin(), queryFn: async () => answered(await api.GET("/bin")) }).data?.[shelf]
  const back = useMutation({
    mutationFn: (id: number) => bringBack(shelf, id),
    onSettled: () => askAgain(queries, touched.bin),
  })
  if (!bin || bin.length === 0) return null
  return (
    <details className="no-print pt-6">
      <summary className="cursor-pointer py-2 font-semibold">
        Deleted: {bin.length === 1 ? `one ${WORDS[shelf]}` : `${bin.length} ${shelf}`}
      </summary>
      {back.error && <Problem>{back.error.message}</Problem>}
      <ul className="max-w-3xl">
        {bin.map((each) => (
          <li key={each.id} className="flex items-baseline gap-4 border-b border-base-300 py-1">
            <span>{each.name}</span>
            <span className="text-quiet">
              {each.days_left === 1 ? "gone for good in a day" : `gone for good in ${each.days_left} days`}
            </span>
            <button
              type="button"
              className="link ml-auto"
              aria-label={`Bring back ${each.name}`}
              onClick={() => back.mutate(each.id)}
            >
              Bring back
            </button>
          </li>
        ))}
      </ul>
    </details>
  )
}
