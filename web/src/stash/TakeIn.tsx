import { useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { api, problemsOf, type Problem, type Units } from "../keep/client"
import { Dialog } from "../pieces/Dialog"
import { Prose } from "../pieces/Prose"
import { textOf } from "./textOf"

interface Tried {
  csv: string
  added: number
  changed: number
  same: number
}

/** A CSV file into the stash: tried first, every bad line named; then taken in, all of it or nothing. */
export function TakeIn({ units, onClose }: { units: Units; onClose: () => void }) {
  const queries = useQueryClient()
  const [tried, setTried] = useState<Tried>()
  const [problems, setProblems] = useState<Problem[]>([])
  const [done, setDone] = useState("")
  const send = async (csv: string, dry: boolean) => {
    const { data, error } = await api.POST("/stash.csv", { body: { csv, units, dry } })
    setProblems(data ? [] : problemsOf(error))
    setTried(data && dry ? { csv, ...data } : undefined)
    if (!data || dry) return
    setDone(`Taken in: ${data.added} new, ${data.changed} changed, ${data.same} the same as before.`)
    await queries.invalidateQueries()
  }
  return (
    <Dialog title="Take in a CSV file" onClose={onClose}>
      <p>
        A row is a material, one way it is sold, or a piece of it on hand; the first column says which. Take the CSV
        of this stash out to see how it is written. Nothing changes before you have seen what it would do.
      </p>
      <p className="py-3">
        <input
          type="file"
          accept=".csv,text/csv"
          aria-label="CSV file"
          className="file-input"
          onChange={async (event) => {
            setDone("")
            const file = event.target.files?.[0]
            if (file) await send(textOf(await file.arrayBuffer()), true)
          }}
        />
      </p>
      {problems.length > 0 && (
        <div role="alert">
          <p className="font-semibold text-error">
            Nothing was taken in. {problems.length} {problems.length === 1 ? "line is" : "lines are"} wrong:
          </p>
          <ul className="max-h-64 overflow-y-auto" tabIndex={0}>
            {problems.map((problem) => (
              <li key={problem.at + problem.says}>
                <Prose>{problem.says}</Prose>
              </li>
            ))}
          </ul>
        </div>
      )}
      {tried && (
        <p className="flex flex-wrap items-center gap-3">
          <span>
            {tried.added} new, {tried.changed} changed, {tried.same} the same as before.
          </span>
          <button type="button" className="btn btn-primary" onClick={() => void send(tried.csv, false)}>
            Take it in
          </button>
        </p>
      )}
      {done && (
        <p role="status" className="font-semibold text-secondary">
          {done}
        </p>
      )}
    </Dialog>
  )
}
