import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useState, type ReactNode } from "react"
import { useLocation, useNavigate } from "react-router"
import { answered, api, Refusal, type Problem } from "../keep/client"
import { useAccount } from "../keep/queries"

/** Where the application is open to the house, nobody gets past it who has not signed in. */
export function Door({ children }: { children: ReactNode }) {
  const account = useAccount().data
  const { pathname } = useLocation()
  const token = /^\/pair\/([\w-]+)$/.exec(pathname)?.[1]
  if (!account?.house || (account.login !== undefined && !token)) return children
  return (
    <main className="mx-auto max-w-md px-4 pt-[12vh]">
      <p className="flex items-center gap-2 pb-6 font-display text-lg font-bold">
        <img src="/lantern.svg" alt="" className="h-7 w-7" />
        Crisp Lantern
      </p>
      {token ? <Pairing token={token} /> : <SignIn first={account.first} />}
    </main>
  )
}

/** The name and the password: of the first account, or of one that there is. */
function SignIn({ first }: { first: boolean }) {
  const queries = useQueryClient()
  const [login, setLogin] = useState("")
  const [password, setPassword] = useState("")
  const [shown, setShown] = useState(false)
  const come = useMutation({
    mutationFn: async () =>
      answered(await api.POST(first ? "/account/first" : "/account/sign-in", { body: { login, password } })),
    onSuccess: () => queries.invalidateQueries(),
  })
  const problems: Problem[] = come.error instanceof Refusal ? come.error.problems : []
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
      <div className="row">
        <label htmlFor="login">Name</label>
        <input
          id="login"
          className="field-input w-56 text-left"
          autoComplete="username"
          required
          maxLength={120}
          value={login}
          onChange={(event) => setLogin(event.target.value)}
        />
      </div>
      <div className="row">
        <label htmlFor="password">
          Password
          {first && <span className="block text-sm text-quiet">Twelve letters or more.</span>}
        </label>
        <input
          id="password"
          type={shown ? "text" : "password"}
          className="field-input w-56 text-left"
          autoComplete={first ? "new-password" : "current-password"}
          required
          maxLength={200}
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
      </div>
      <label className="flex items-center justify-end gap-2 pt-2 text-sm">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={shown}
          onChange={(event) => setShown(event.target.checked)}
        />
        Show the password
      </label>
      {come.isError && (
        <p role="alert" className="pt-2 font-semibold text-error">
          {problems.length > 0 ? problems.map(({ says }) => says).join(" ") : come.error.message}
        </p>
      )}
      <p className="pt-4">
        <button type="submit" className="amber-button min-h-11" disabled={come.isPending}>
          {first ? "Make it and go in" : "Sign in"}
        </button>
      </p>
    </form>
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
      {pair.isError && (
        <p role="alert" className="font-semibold text-error">
          {pair.error.message}
        </p>
      )}
      <p className="pt-4">
        <button
          type="button"
          className="amber-button min-h-11"
          disabled={pair.isPending}
          onClick={() => pair.mutate()}
        >
          Pair it
        </button>
      </p>
    </>
  )
}
