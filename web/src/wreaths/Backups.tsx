import { useState } from "react"
import { ageSays, sizeSays } from "./ages"

interface Backup {
  name: string
  kind: "daily" | "by-hand" | "before-restore" | "before-upgrade"
  at: string
  bytes: number
}

const clock = new Intl.DateTimeFormat(undefined, { dateStyle: "short", timeStyle: "medium" })

const KINDS: Record<Backup["kind"], string> = {
  daily: "Daily backup",
  "by-hand": "Made by hand",
  "before-restore": "As it was before a restore",
  "before-upgrade": "As it was before a new version",
}

/** The backups there are, how old each is, and back to one of them. */
export function Backups({
  backups,
  lastGood,
  passedOver,
  onBringBack,
}: {
  backups: Backup[]
  /** When the last one was made that was read back whole. */
  lastGood?: string
  /** Files that lie among them and are none. */
  passedOver: string[]
  onBringBack: (name: string) => Promise<void>
}) {
  const [asked, setAsked] = useState<string>()
  return (
    <section aria-label="Backups" className="pt-4">
      <p className="text-quiet">
        {lastGood
          ? `The last good backup is ${ageSays(lastGood)} old, and was read back whole.`
          : "No backup has been made yet."}{" "}
        Daily ones are kept for fourteen days.
      </p>
      {passedOver.length > 0 && (
        <p className="text-sm text-quiet">
          Passed over, since its name is no backup’s: {passedOver.slice(0, 3).join(", ")}
          {passedOver.length > 3 && ` and ${passedOver.length - 3} more`}.
        </p>
      )}
      <ul className="max-w-3xl">
        {backups.map((each) => (
          <li key={each.name} className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-1">
            <span className="min-w-56">{KINDS[each.kind]}</span>
            <span className="text-quiet">
              {clock.format(new Date(each.at))} · {sizeSays(each.bytes)}
            </span>
            {asked === each.name ? (
              <span className="ml-auto flex flex-wrap items-center gap-3">
                <span>What is here now is replaced, and kept as a backup.</span>
                <button
                  type="button"
                  className="btn btn-primary"
                  onClick={() => {
                    setAsked(undefined)
                    void onBringBack(each.name)
                  }}
                >
                  Bring it back
                </button>
                <button type="button" className="link" onClick={() => setAsked(undefined)}>
                  Leave it
                </button>
              </span>
            ) : (
              <button
                type="button"
                className="link ml-auto"
                aria-label={`Bring back ${KINDS[each.kind]}, ${clock.format(new Date(each.at))}`}
                onClick={() => setAsked(each.name)}
              >
                Bring back
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
