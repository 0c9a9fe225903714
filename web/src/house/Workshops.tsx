import { useMutation } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api } from "../keep/client"
import { useWorkshops } from "../keep/queries"
import { arrive } from "./arrive"
import { Problem } from "../pieces/Problem"

/** The workshops that one is in, into another one, and one of one's own. */
export function Workshops() {
  const workshops = useWorkshops().data ?? []
  const go = useMutation({
    mutationFn: async (id: number) => answered(await api.PUT("/workshops/here", { body: { id } })),
    onSuccess: arrive,
  })
  return (
    <section aria-label="Your workshops" className="pt-6">
      <h2 className="text-xl">Your workshops</h2>
      {workshops.length > 1 && (
        <ul aria-label="Workshops" className="pt-2">
          {workshops.map(({ id, name, role, here }) => (
            <li key={id} className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-2">
              <span>{name}</span>
              <span className="text-sm text-quiet">{here ? `${role}, and here now` : role}</span>
              {!here && (
                <button
                  type="button"
                  className="link ml-auto"
                  aria-label={`Go to ${name}`}
                  disabled={go.isPending}
                  onClick={() => go.mutate(id)}
                >
                  Go there
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      <NewWorkshop />
    </section>
  )
}

/** A workshop of one's own, and into it. */
export function NewWorkshop() {
  const [name, setName] = useState("")
  const found = useMutation({
    mutationFn: async () => answered(await api.POST("/workshops", { body: { name } })),
    onSuccess: arrive,
  })
  return (
    <form
      className="flex flex-wrap items-center gap-3 pt-3"
      onSubmit={(event) => {
        event.preventDefault()
        found.mutate()
      }}
    >
      <input
        aria-label="Name of a new workshop"
        placeholder="Name of a new workshop"
        className="input w-64 text-left"
        required
        maxLength={120}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="btn" disabled={found.isPending}>
        Begin it
      </button>
      {found.isError && <Problem inline>{found.error.message}</Problem>}
    </form>
  )
}
