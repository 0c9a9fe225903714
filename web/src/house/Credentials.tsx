import { useState } from "react"
import { Problem } from "../pieces/Problem"
import { Field } from "../pieces/Field"

interface Props {
  /** Whether the account is made by it. */
  fresh: boolean
  login: string
  password: string
  onLogin: (login: string) => void
  onPassword: (password: string) => void
  problem?: string
}

/** A name and a password. */
export function Credentials({ fresh, login, password, onLogin, onPassword, problem }: Props) {
  const [shown, setShown] = useState(false)
  return (
    <>
      <Field label="Name">
        {(labelled) => (
          <input
            {...labelled}
            className="input w-56 text-left"
            autoComplete="username"
            required
            maxLength={120}
            value={login}
            onChange={(event) => onLogin(event.target.value)}
          />
        )}
      </Field>
      <Field label="Password" help={fresh && "Twelve letters or more."}>
        {(labelled) => (
          <input
            {...labelled}
            type={shown ? "text" : "password"}
            className="input w-56 text-left"
            autoComplete={fresh ? "new-password" : "current-password"}
            required
            maxLength={200}
            value={password}
            onChange={(event) => onPassword(event.target.value)}
          />
        )}
      </Field>
      <label className="flex items-center justify-end gap-2 pt-2 text-sm">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={shown}
          onChange={(event) => setShown(event.target.checked)}
        />
        Show the password
      </label>
      {problem && <Problem className="pt-2">{problem}</Problem>}
    </>
  )
}
