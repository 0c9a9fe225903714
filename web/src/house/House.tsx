import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, type Account } from "../keep/client"
import { keys } from "../keep/keys"
import { useAccount, useDevices } from "../keep/queries"
import { Dialog } from "../pieces/Dialog"
import { ageSays } from "../wreaths/ages"
import { InviteLink } from "./InviteLink"
import { SignOut } from "./SignOut"
import { Trust } from "./Trust"
import { ThisWorkshop } from "./ThisWorkshop"
import { Workshops } from "./Workshops"
import { Problem } from "../pieces/Problem"
import { Field } from "../pieces/Field"

/** Which devices are in, how another one comes in, and the way out; nothing where nobody has to sign in. */
export function House() {
  const account = useAccount().data
  if (!account?.house || account.login === undefined) return null
  return (
    <>
      <ThisWorkshop />
      <Workshops />
      <section aria-label="This house" className="pt-6">
        <h2 className="text-xl">This house</h2>
        <p className="text-quiet">Signed in as {account.login}.</p>
        <Devices />
        <Pairing />
        <WithServerOff tls={account.tls} />
        <Password />
        <SignOut />
      </section>
    </>
  )
}

function Devices() {
  const queries = useQueryClient()
  const devices = useDevices().data ?? []
  const shut = useMutation({
    mutationFn: async (device: string) =>
      answered(await api.DELETE("/account/devices/{device}", { params: { path: { device } } })),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.devices() }),
  })
  return (
    <ul aria-label="Devices" className="pt-2">
      {devices.map((device) => (
        <li key={device.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-2">
          <span>{device.name}</span>
          <span className="text-sm text-quiet">
            {device.here ? "this one" : `last used ${ageSays(device.last_use)} ago`}
          </span>
          {!device.here && (
            <button
              type="button"
              className="link ml-auto"
              aria-label={`Shut out ${device.name}`}
              onClick={() => shut.mutate(device.id)}
            >
              Shut out
            </button>
          )}
        </li>
      ))}
    </ul>
  )
}

function Pairing() {
  const queries = useQueryClient()
  const begin = useMutation({ mutationFn: async () => answered(await api.POST("/account/pairings", { body: {} })) })
  const close = () => {
    begin.reset()
    void queries.invalidateQueries({ queryKey: keys.devices() })
  }
  return (
    <p className="pt-3">
      <button type="button" className="btn" onClick={() => begin.mutate()} disabled={begin.isPending}>
        Pair a device
      </button>
      {begin.isError && (
        <Problem inline className="pl-3">
          {begin.error.message}
        </Problem>
      )}
      {begin.data && (
        <Dialog title="Pair a device" onClose={close}>
          <InviteLink link={begin.data.link} qr={begin.data.qr}>
            Point the other device’s camera at this, or open the link on it. It is good for {begin.data.minutes}{" "}
            minutes, once.
          </InviteLink>
        </Dialog>
      )}
    </p>
  )
}

/** Whether this device opens the application again with the server off, and how it is made to. */
function WithServerOff({ tls }: { tls: Account["tls"] }) {
  const [asked, setAsked] = useState(false)
  if (window.isSecureContext) {
    return <p className="pt-3 text-quiet">This device opens it with the server off, too: the bench counts on.</p>
  }
  return (
    <p className="pt-3 text-quiet">
      Everything works on this device but opening it again with the server off.{" "}
      {tls && (
        <button type="button" className="link" onClick={() => setAsked(true)}>
          How it does that, too
        </button>
      )}
      {asked && tls && (
        <Dialog title="So that it opens with the server off, too" onClose={() => setAsked(false)}>
          <Trust tls={tls} path="/" />
        </Dialog>
      )}
    </p>
  )
}

function Password() {
  const [password, setPassword] = useState("")
  const [next, setNext] = useState("")
  const change = useMutation({
    mutationFn: async () =>
      answered(await api.POST("/account/password", { body: { password, "new-password": next } })),
    onSuccess: () => {
      setPassword("")
      setNext("")
    },
  })
  return (
    <details className="pt-3">
      <summary className="cursor-pointer py-2 font-semibold">Change the password</summary>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          change.mutate()
        }}
      >
        <Secret label="The password now" complete="current-password" value={password} onChange={setPassword} />
        <Secret label="The new one, twelve letters or more" complete="new-password" value={next} onChange={setNext} />
        {change.isError && <Problem>{change.error.message}</Problem>}
        {change.isSuccess && <p role="status">Changed. The other devices have to sign in again.</p>}
        <button type="submit" className="btn mt-2" disabled={change.isPending}>
          Change it
        </button>
      </form>
    </details>
  )
}

interface SecretProps {
  label: string
  complete: string
  value: string
  onChange: (value: string) => void
}

function Secret({ label, complete, value, onChange }: SecretProps) {
  return (
    <Field label={label}>
      {(labelled) => (
        <input
          {...labelled}
          type="password"
          className="input w-56 text-left"
          autoComplete={complete}
          required
          maxLength={200}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Field>
  )
}
