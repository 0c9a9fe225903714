import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { useNavigate } from "react-router"
import { answered, api, Refusal, type Account, type Problem as Said } from "../keep/client"
import { Problem } from "../pieces/Problem"
import { Credentials } from "./Credentials"
import { Join } from "./Join"
import { SignOut } from "./SignOut"
import { Trust } from "./Trust"
import { NewWorkshop } from "./Workshops"

interface Props {
  account: Account
  /** What was opened, where it was a link that lets somebody in. */
  link?: Record<string, string>
  pathname: string
}

/** What is seen by whoever is not in: how to come in. */
export function Outside({ account, link, pathname }: Props) {
  return (
    <main className="mx-auto max-w-md px-4 pt-[12vh]">
      <p className="flex items-center gap-2 pb-6 font-display text-lg font-bold">
        <img src="/lantern.svg" alt="" className="h-7 w-7" />
        Crisp Lantern
      </p>
      {link ? (
        <>
          {link.what === "pair" ? <Pairing token={link.token!} /> : <Join token={link.token!} />}
          {account.tls && !window.isSecureContext && (
            <>
              <p className="pt-3 text-quiet">Everything works like this but opening it again with the server off.</p>
              <h2 className="pt-10 text-xl">Or so that it opens with the server off, too</h2>
              <Trust tls={account.tls} path={pathname} />
            </>
          )}
        </>
      ) : account.login === undefined ? (
        <SignIn first={account.first} />
      ) : (
        <NoWorkshop />
      )}
    </main>
  )
}

/** The name and the password: of the first account, or of one that there is. */
function SignIn({ first }: { first: boolean }) {
  const queries = useQueryClient()
  const [login, setLogin] = useState("")
  const [password, setPassword] = useState("")
  const come = useMutation({
    mutationFn: async () =>
      answered(await api.POST(first ? "/account/first" : "/account/sign-in", { body: { login, password } })),
    onSuccess: () => queries.invalidateQueries(),
  })
  const problems: Said[] = come.error instanceof Refusal ? come.error.problems : []
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        come.mutate()
      }}
    >
      <h1 className="text-2xl">{first ? "The first account" : "Sign in"}</h1>
      <p className="py-2 text-quiet">
        {first
          ? "It opens this application to the house: whoever asks from elsewhere signs in with it, or is paired by it."
          : "This application is open to the house: sign in, or open a pairing link from a device that is in."}
      </p>
      <Credentials
        fresh={first}
        login={login}
        password={password}
        onLogin={setLogin}
        onPassword={setPassword}
        problem={problems.map(({ says }) => says).join(" ") || come.error?.message}
      />
      <p className="pt-4">
        <button type="submit" className="btn btn-primary min-h-11" disabled={come.isPending}>
          {first ? "Make it and go in" : "Sign in"}
        </button>
      </p>
    </form>
  )
}

/** Somebody who was let go, or has deleted the last they had. */
function NoWorkshop() {
  return (
    <>
      <h1 className="text-2xl">You are in no workshop</h1>
      <p className="py-2 text-quiet">Make one of your own, or ask somebody for a link into theirs.</p>
      <NewWorkshop />
      <SignOut />
    </>
  )
}

/** A device that was shown a link comes in by it. */
function Pairing({ token }: { token: string }) {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const pair = useMutation({
    mutationFn: async () =>
      answered(await api.POST("/account/pairings/{token}", { params: { path: { token } }, body: {} })),
    onSuccess: async () => {
      await navigate("/", { replace: true })
      await queries.invalidateQueries()
    },
  })
  return (
    <>
      <h1 className="text-2xl">Pair this device</h1>
      <p className="py-2 text-quiet">
        It stays signed in for a month, unless it is shut out in the settings of another device.
      </p>
      {pair.isError && <Problem>{pair.error.message}</Problem>}
      <p className="pt-4">
        <button
          type="button"
          className="btn btn-primary min-h-11"
          disabled={pair.isPending}
          onClick={() => pair.mutate()}
        >
          Pair it
        </button>
      </p>
    </>
  )
}
