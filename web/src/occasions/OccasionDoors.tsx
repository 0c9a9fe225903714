import { useQuery, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { Link } from "react-router"
import { answered, api, saysOf } from "../keep/client"
import { askAgain, keys, touched } from "../keep/keys"
import { useIsMaker } from "../keep/queries"
import { Fetching } from "../pieces/Fetching"
import { Problem } from "../pieces/Problem"
import { Picture } from "../wreaths/Picture"

/** All doors in a row and to one scale, each with its wreath; a wreath is dragged to another door, or sent there. */
export function OccasionDoors({ id }: { id: number }) {
  const queries = useQueryClient()
  const maker = useIsMaker()
  const [dragged, setDragged] = useState<number>()
  const [refused, setRefused] = useState("")
  const doors = useQuery({
    queryKey: keys.doors(id),
    queryFn: async () => answered(await api.GET("/occasions/{id}/doors", { params: { path: { id } } })).doors,
  }).data
  if (!doors) return <Fetching what="Doors" />
  const swap = async (wreath: number, other: number) => {
    if (wreath === other) return
    const { error } = await api.PUT("/wreaths/{id}/swap-doors", {
      params: { path: { id: wreath } },
      body: { with: other },
    })
    setRefused(error ? saysOf(error) : "")
    await askAgain(queries, touched.places)
  }
  return (
    <section aria-label="Doors">
      <div className="no-print flex flex-wrap items-center gap-4 pb-2">
        <p className="text-quiet">
          All to one scale. Which door a wreath is for is said where it is looked at on it.
        </p>
        <a className="btn ml-auto" href={`/api/occasions/${id}/doors.pdf`} download>
          On one sheet
        </a>
      </div>
      {refused && <Problem>{refused}</Problem>}
      <ul className="grid grid-cols-2 gap-4 sm:grid-cols-4 lg:grid-cols-6">
        {doors.map((door) => (
          <li
            key={door.wreath}
            className={dragged !== undefined && dragged !== door.wreath ? "rounded outline-2 outline-primary" : ""}
            onDragOver={(event) => maker && event.preventDefault()}
            onDrop={(event) => {
              event.preventDefault()
              if (dragged !== undefined) void swap(dragged, door.wreath)
              setDragged(undefined)
            }}
          >
            <div
              className="aspect-[44/60] overflow-hidden rounded bg-base-200"
              draggable={maker}
              onDragStart={() => setDragged(door.wreath)}
              onDragEnd={() => setDragged(undefined)}
            >
              <Picture
                src={`/api/wreaths/${door.wreath}/door.jpg?of=${door.picture}`}
                otherwise="Cannot be drawn yet: open it, and its form says why."
              />
            </div>
            <p className="pt-1 leading-tight">
              <Link className="font-semibold hover:underline" to={`/wreaths/${door.wreath}/door`}>
                {door.name}
              </Link>
              <span className="block text-sm text-quiet">
                {[door.called ?? "No door yet", door.says].filter(Boolean).join(", ")}
              </span>
            </p>
            {maker && doors.length > 1 && (
              <select
                aria-label={`${door.name} changes doors with`}
                className="select mt-1 min-h-8 w-full select-sm"
                value=""
                onChange={(event) => void swap(door.wreath, Number(event.target.value))}
              >
                <option value="">Swap with…</option>
                {doors
                  .filter((other) => other.wreath !== door.wreath)
                  .map((other) => (
                    <option key={other.wreath} value={other.wreath}>
                      {other.name}
                    </option>
                  ))}
              </select>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
