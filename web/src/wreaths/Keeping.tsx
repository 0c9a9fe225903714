import { useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { api, problemsOf } from "../keep/client"

const restoredSays = (rows: Record<string, number>) =>
  ["wreaths", "materials", "occasions"].map((table) => `${rows[table] ?? 0} ${table}`).join(", ")

/** Everything as one file, out and in. */
export function Keeping() {
  const queries = useQueryClient()
  const [chosen, setChosen] = useState<Record<string, unknown>>()
  const [said, setSaid] = useState("")
  const read = async (file: File | undefined) => {
    setSaid("")
    if (!file) return
    try {
      setChosen(JSON.parse(await file.text()) as Record<string, unknown>)
    } catch {
      setSaid("This file is not JSON. Nothing was changed.")
    }
  }
  const restore = async () => {
    const { data, error } = await api.POST("/archive.json", { body: chosen! })
    setSaid(
      data
        ? `Restored: ${restoredSays(data.restored)}.`
        : problemsOf(error)
            .map((problem) => problem.says)
            .join(" "),
    )
    setChosen(undefined)
    await queries.invalidateQueries()
  }
  return (
    <details className="no-print pt-6">
      <summary className="cursor-pointer py-2 font-semibold">Everything as one file</summary>
      <p className="pb-2 text-quiet">
        Wreaths, stash, ledger, occasions and notebook: a copy to keep, or to take to another machine.
      </p>
      <p className="flex flex-wrap items-center gap-3">
        <a className="plain-button" href="/api/archive.json" download>
          Take it out
        </a>
        <input
          type="file"
          accept=".json,application/json"
          aria-label="Archive to restore"
          className="file-input"
          onChange={(event) => void read(event.target.files?.[0])}
        />
        {chosen && (
          <>
            <span>What is here now is replaced by what is in the file.</span>
            <button type="button" className="amber-button" onClick={() => void restore()}>
              Restore it
            </button>
          </>
        )}
      </p>
      {said && (
        <p role="status" className="pt-2 font-semibold">
          {said}
        </p>
      )}
    </details>
  )
}
