import type { ReactNode } from "react"
import type { Account } from "../keep/client"

const ink = {
  fill: "none",
  stroke: "currentColor",
  strokeWidth: 2.4,
  strokeLinecap: "round",
  strokeLinejoin: "round",
} as const

/** A device, and what is on it. */
function Device({ children }: { children: ReactNode }) {
  return (
    <svg viewBox="0 0 60 84" className="h-20 w-14 shrink-0" aria-hidden="true">
      <rect x="6" y="3" width="48" height="78" rx="7" {...ink} />
      <path d="M24 74 H36" {...ink} />
      {children}
    </svg>
  )
}

const way = { ...ink, stroke: "var(--color-primary)", strokeWidth: 4 }

const fetched = (
  <Device>
    <path d="M18 46 V60 H42 V46" {...ink} />
    <path d="M30 18 V50 M21 41 L30 50 L39 41" {...way} />
  </Device>
)
const trusted = (
  <Device>
    <path d="M14 22 H46 M14 52 H46" {...ink} strokeOpacity={0.5} />
    <rect x="16" y="29" width="28" height="16" rx="8" {...ink} />
    <circle cx="36" cy="37" r="5.5" {...way} fill="var(--color-primary)" />
  </Device>
)
const opened = (
  <Device>
    <path d="M22 34 H38 L36 58 H24 Z M25 34 Q30 24 35 34" {...ink} />
    <path d="M30 42 v9" {...way} />
  </Device>
)

interface Props {
  tls: NonNullable<Account["tls"]>
  /** Where to go once it is trusted: a path of the application. */
  path: string
}

/**
 * How a device is made to trust the house, so that it opens the application again with the server off. In words and our
 * own drawings: where each device has its settings, its own help says.
 */
export function Trust({ tls, path }: Props) {
  return (
    <section aria-label="To open it with the server off, too">
      <p className="text-quiet">
        Once, in a few minutes. The device then trusts this house for its own names and addresses, and for nothing
        else.
      </p>
      <ol>
        <Step picture={fetched} title="Fetch the certificate of the house">
          <a className="btn" href="/authority.crt" download>
            Fetch it
          </a>
        </Step>
        <Step picture={trusted} title="Tell the device to trust it">
          <p>
            In the device’s settings look for <em>certificates</em>, mostly under security. Choose the file that was
            fetched, as an <em>authority</em> (some say CA). Some devices have it confirmed a second time, in a switch
            beside its name. Its name begins with “Crisp Lantern of”; where its SHA-256 is shown, that begins with
          </p>
          <p className="font-mono text-sm break-words">{tls.fingerprint}</p>
        </Step>
        <Step picture={opened} title="Open it here from now on">
          <p>
            <a className="link" href={tls.address + path}>
              {tls.address}
            </a>
          </p>
          <p className="text-quiet">
            If the device warns of the address, it does not trust it yet. Keep to this one address: what a device has
            counted is kept under the address it was opened by.
          </p>
        </Step>
      </ol>
    </section>
  )
}

function Step({ picture, title, children }: { picture: ReactNode; title: string; children: ReactNode }) {
  return (
    <li className="flex gap-4 border-b border-base-300 py-4 last:border-0">
      {picture}
      <div className="min-w-0 flex-1">
        <h3 className="pb-1 font-semibold">{title}</h3>
        {children}
      </div>
    </li>
  )
}
