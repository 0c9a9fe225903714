import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, type Role, type Workshop } from "../keep/client"
import { keys } from "../keep/keys"
import { useWorkshop } from "../keep/queries"
import { Dialog } from "../pieces/Dialog"
import { OpenChoice } from "../pieces/OpenChoice"
import { arrive } from "./arrive"
import { InviteLink } from "./InviteLink"
import { Problem } from "../pieces/Problem"
import { Field } from "../pieces/Field"

type Person = Workshop["people"][number]
type Invited = Role | "own"

const roles = [
  { value: "maker", says: "maker" },
  { value: "helper", says: "helper" },
]

const invitations: { value: Invited; says: string }[] = [
  { value: "helper", says: "As a helper" },
  { value: "maker", says: "As a maker" },
  { value: "own", says: "To a workshop of their own" },
]

/** The workshop that this device is in: what it is called, who works in it, who else is asked in. */
export function ThisWorkshop() {
  const workshop = useWorkshop().data
  if (!workshop) return null
  const maker = workshop.role === "maker"
  return (
    <section aria-label="This workshop" className="pt-6">
      <h2 className="text-xl">{workshop.name}</h2>
      <p className="text-quiet">
        {maker
          ? "A maker changes everything here; a helper counts at the bench and ticks cuts."
          : "You are a helper here: you count at the bench and tick cuts."}
      </p>
      <People workshop={workshop} maker={maker} />
      {maker && <Invite />}
      {maker && <Name workshop={workshop} />}
      {workshop.people.length > 1 && <Leave name={workshop.name} />}
      {maker && <Delete workshop={workshop} />}
    </section>
  )
}

function useChange<Said, Answer>(change: (said: Said) => Promise<Answer>) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSettled: () => queries.invalidateQueries({ queryKey: keys.account() }),
  })
}

function People({ workshop, maker }: { workshop: Workshop; maker: boolean }) {
  const change = useChange(async ({ id, role }: { id: number; role: Role }) =>
    answered(await api.PUT("/workshop/people/{id}", { params: { path: { id } }, body: { role } })),
  )
  const remove = useChange(async (id: number) =>
    answered(await api.DELETE("/workshop/people/{id}", { params: { path: { id } } })),
  )
  const failed = change.error ?? remove.error
  const controls = (person: Person) => (
    <>
      <OpenChoice
        label={`What ${person.name} is`}
        name={`role-${person.id}`}
        value={person.role}
        choices={roles}
        onChange={(role) => change.mutate({ id: person.id, role: role as Role })}
      />
      <button
        type="button"
        className="link"
        aria-label={`Let ${person.name} go`}
        onClick={() => remove.mutate(person.id)}
      >
        Let go
      </button>
    </>
  )
  return (
    <>
      <ul aria-label="People" className="pt-2">
        {workshop.people.map((person) => (
          <li key={person.id} className="flex flex-wrap items-center gap-x-4 border-b border-base-300 py-2">
            <span className="mr-auto">{person.you ? `${person.name} (you)` : person.name}</span>
            {maker && !person.you ? controls(person) : <span className="text-quiet">{person.role}</span>}
          </li>
        ))}
      </ul>
      {failed && <Problem className="pt-2">{failed.message}</Problem>}
    </>
  )
}

function Invite() {
  const [as, setAs] = useState<Invited>("helper")
  const invite = useChange(async () => {
    const body = { role: as === "own" ? ("maker" as const) : as, own: as === "own" }
    return answered(await api.POST("/workshop/invitations", { body }))
  })
  return (
    <div className="flex flex-wrap items-center gap-3 pt-3">
      <OpenChoice
        label="How somebody is asked in"
        name="invited"
        value={as}
        choices={invitations}
        onChange={(next) => setAs(next as Invited)}
      />
      <button type="button" className="btn" disabled={invite.isPending} onClick={() => invite.mutate(undefined)}>
        Ask somebody in
      </button>
      {invite.data && (
        <Dialog title="Ask somebody in" onClose={() => invite.reset()}>
          <InviteLink link={invite.data.link} qr={invite.data.qr}>
            Send the link, or let them point a camera at it. It lets one person in, within {invite.data.days} days.
          </InviteLink>
        </Dialog>
      )}
    </div>
  )
}

function Name({ workshop }: { workshop: Workshop }) {
  const [name, setName] = useState(workshop.name)
  const rename = useChange(async () => answered(await api.PUT("/workshop", { body: { name } })))
  return (
    <form
      className="flex flex-wrap items-center gap-3 pt-3"
      onSubmit={(event) => {
        event.preventDefault()
        rename.mutate(undefined)
      }}
    >
      <input
        aria-label="Name of this workshop"
        className="input w-64 text-left"
        required
        maxLength={120}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="btn" disabled={rename.isPending || name.trim() === workshop.name}>
        Rename it
      </button>
    </form>
  )
}

function Leave({ name }: { name: string }) {
  const leave = useMutation({
    mutationFn: async () => answered(await api.POST("/workshop/leave", { body: {} })),
    onSuccess: arrive,
  })
  return (
    <p className="flex flex-wrap items-center gap-3 pt-3">
      <button type="button" className="link" onClick={() => leave.mutate()}>
        Leave {name}
      </button>
      {leave.isError && <Problem inline>{leave.error.message}</Problem>}
    </p>
  )
}

/** Asked for by its name and one's password, since nothing brings it back. */
function Delete({ workshop }: { workshop: Workshop }) {
  const [name, setName] = useState("")
  const [password, setPassword] = useState("")
  const remove = useMutation({
    mutationFn: async () => answered(await api.POST("/workshop/delete", { body: { name, password } })),
    onSuccess: arrive,
  })
  return (
    <details className="pt-3">
      <summary className="cursor-pointer py-2 font-semibold">Delete everything in this workshop</summary>
      <p className="text-quiet">
        Wreaths, stash, ledger, occasions, notebook and backups go for good, and nothing brings them back.{" "}
        <a className="underline" href="/api/archive.jsonl" download>
          Take it out as one file
        </a>{" "}
        first, if you may want it again.
      </p>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          remove.mutate()
        }}
      >
        <Field label={`Its name, to be sure: ${workshop.name}`}>
          {(labelled) => (
            <input
              {...labelled}
              className="input w-56 text-left"
              required
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          )}
        </Field>
        <Field label="Your password">
          {(labelled) => (
            <input
              {...labelled}
              type="password"
              className="input w-56 text-left"
              autoComplete="current-password"
              required
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
          )}
        </Field>
        {remove.isError && <Problem>{remove.error.message}</Problem>}
        <button type="submit" className="btn mt-2" disabled={remove.isPending}>
          Delete it for good
        </button>
      </form>
    </details>
  )
}
