import { useState } from "react"
import { Problem } from "../pieces/Problem"

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
      <div className="row">
        <label htmlFor="login">Name</label>
        <input
          id="login"
          className="field-input w-56 text-left"
          autoComplete="username"
          required
          maxLength={120}
          value={login}
          onChange={(event) => onLogin(event.target.value)}
        />
      </div>
      <div className="row">
        <label htmlFor="password">
          Password
          {fresh && <span className="block text-sm text-quiet">Twelve letters or more.</span>}
        </label>
        <input
          id="password"
          type={shown ? "text" : "password"}
          className="field-input w-56 text-left"
          autoComplete={fresh ? "new-password" : "current-password"}
          required
          maxLength={200}
          value={password}
          onChange={(event) => onPassword(event.target.value)}
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
      {problem && <Problem className="pt-2">{problem}</Problem>}
    </>
  )
}
