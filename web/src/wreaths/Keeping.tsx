import { useQuery, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, Refusal, saysOf } from "../keep/client"
import { keys } from "../keep/keys"
import { fitsInParts, sendInParts, type Progress } from "../keep/upload"
import { ownHeaders } from "../keep/workshop"
import { Backups } from "./Backups"
import { Problem } from "../pieces/Problem"
import { Sending } from "../pieces/Sending"

type Restored = { restored: Record<string, number>; before: string }

const restoredSays = ({ restored }: Restored) =>
  ["wreaths", "materials", "occasions"].map((table) => `${restored[table] ?? 0} ${table}`).join(", ")

/** Sends an archive: in parts, or as it lies on the disk where it is too large for that. */
async function sendArchive(file: File, onProgress: (progress: Progress) => void): Promise<Restored> {
  if (fitsInParts(file)) {
    const { upload, parts } = await sendInParts(file, onProgress)
    const params = { path: { upload } }
    return answered(await api.POST("/uploads/{upload}/archive", { params, body: { parts } }))
  }
  const response = await fetch("/api/archive.jsonl", {
    method: "POST",
    headers: { "content-type": "application/x-ndjson", ...ownHeaders() },
    body: file,
  })
  const answer: unknown = await response.json()
  if (!response.ok) throw answer
  return answer as Restored
}

/** Everything as one file, out and in; and the backups that the application makes of its own. */
export function Keeping() {
  const queries = useQueryClient()
  const [chosen, setChosen] = useState<File>()
  const [said, setSaid] = useState("")
  const [progress, setProgress] = useState<Progress>()
  const backups = useQuery({ queryKey: keys.backups(), queryFn: async () => answered(await api.GET("/backups")) })
  const doing = async (restore: () => Promise<Restored>) => {
    try {
      const done = await restore()
      setSaid(`Restored: ${restoredSays(done)}. What was here before is kept below as a backup.`)
    } catch (error) {
      // What broke on its way goes on where it broke when it is pressed again.
      setSaid(saysOf(error))
      if (!(error instanceof Refusal)) return
    } finally {
      setProgress(undefined)
    }
    setChosen(undefined)
    await queries.invalidateQueries()
  }
  return (
    <>
      {backups.data?.failed && (
        <Problem className="pt-6">
          The daily backup failed: {backups.data.failed}. Nothing is lost yet; make room, and it is tried again within
          the hour.
        </Problem>
      )}
      <details className="no-print pt-6">
        <summary className="cursor-pointer py-2 font-semibold">Everything as one file</summary>
        <p className="pb-2 text-quiet">
          Wreaths, stash, ledger, occasions and notebook: a copy to keep, or to take to another machine.
        </p>
        <p className="flex flex-wrap items-center gap-3">
          <a className="btn" href="/api/archive.jsonl" download>
            Take it out
          </a>
          <input
            type="file"
            accept=".jsonl,.json,.gz,application/x-ndjson"
            aria-label="Archive to restore"
            className="file-input"
            onChange={(event) => {
              setSaid("")
              setChosen(event.target.files?.[0])
            }}
          />
          {chosen && (
            <>
              <span>What is here now is replaced by what is in the file, and kept as a backup.</span>
              <button
                type="button"
                className="btn btn-primary"
                onClick={() => void doing(() => sendArchive(chosen, setProgress))}
              >
                Restore it
              </button>
            </>
          )}
        </p>
        {progress && <Sending what="the archive" progress={progress} />}
        {said && (
          <p role="status" className="pt-2 font-semibold">
            {said}
          </p>
        )}
        <Backups
          backups={backups.data?.backups ?? []}
          lastGood={backups.data?.last_good}
          passedOver={backups.data?.passed_over ?? []}
          onBringBack={(name) =>
            doing(async () => answered(await api.POST("/backups/{name}/bring-back", { params: { path: { name } } })))
          }
        />
      </details>
    </>
  )
}
