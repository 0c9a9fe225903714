import { useMutation, useQuery } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, Refusal } from "../keep/client"
import { keys } from "../keep/keys"
import { useAccount } from "../keep/queries"
import { arrive } from "./arrive"
import { Credentials } from "./Credentials"
import { Problem } from "../pieces/Problem"
import { Field } from "../pieces/Field"

const roleSays = { maker: "make in it with the others", helper: "help: count at the bench, and tick cuts" }

/** Whoever was sent a link comes into a workshop by it, with a new account or with their own. */
export function Join({ token }: { token: string }) {
  const account = useAccount().data
  const [login, setLogin] = useState("")
  const [password, setPassword] = useState("")
  const [name, setName] = useState("")
  const invitation = useQuery({
    queryKey: keys.invitation(token),
    retry: false,
    queryFn: async () => answered(await api.GET("/invitations/{token}", { params: { path: { token } } })),
  })
  const join = useMutation({
    mutationFn: async () => {
      const body = { ...(account?.login === undefined && { login, password }), ...(name && { name }) }
      return answered(await api.POST("/invitations/{token}", { params: { path: { token } }, body }))
    },
    onSuccess: arrive,
  })
  const problems = join.error instanceof Refusal ? join.error.problems.map(({ says }) => says).join(" ") : ""
  const invited = invitation.data
  if (invitation.isError) return <NoLonger says={invitation.error.message} />
  if (!invited) return null
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        join.mutate()
      }}
    >
      <h1 className="text-2xl">{invited.workshop ?? "A workshop of your own"}</h1>
      <p className="py-2 text-quiet">
        {invited.workshop
          ? `You are asked to ${roleSays[invited.role]}.`
          : "You are asked to have a workshop of your own here."}
        {account?.login !== undefined && ` You are signed in as ${account.login}.`}
      </p>
      {account?.login === undefined && (
        <Credentials
          fresh
          login={login}
          password={password}
          onLogin={setLogin}
          onPassword={setPassword}
          problem={problems || join.error?.message}
        />
      )}
      {invited.workshop === undefined && (
        <Field label="What it is called">
          {(labelled) => (
            <input
              {...labelled}
              className="input w-56 text-left"
              maxLength={120}
              required
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          )}
        </Field>
      )}
      {account?.login !== undefined && join.isError && (
        <Problem className="pt-2">{problems || join.error.message}</Problem>
      )}
      <p className="pt-4">
        <button type="submit" className="btn btn-primary min-h-11" disabled={join.isPending}>
          Come in
        </button>
      </p>
    </form>
  )
}

function NoLonger({ says }: { says: string }) {
  return (
    <>
      <h1 className="text-2xl">This link lets nobody in</h1>
      <p role="alert" className="py-2">
        {says}
      </p>
    </>
  )
}
