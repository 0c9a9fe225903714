import { useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { Link } from "react-router"
import { api, saysOf, type LedgerEntry, type StashMaterial, type Units } from "../keep/client"
import { askAgain, touched } from "../keep/keys"
import { useLedger } from "../keep/queries"
import { Dialog } from "../pieces/Dialog"
import { Prose } from "../pieces/Prose"
import { happenings } from "./happenings"
import { NewEntry } from "./NewEntry"
import { Problem } from "../pieces/Problem"

interface Props {
  stashed: StashMaterial
  units: Units
  onClose: () => void
}

/** Where a material came from and where it went, entry by entry; and a line to write the next one. */
export function LedgerDialog({ stashed, units, onClose }: Props) {
  const queries = useQueryClient()
  const entries = useLedger(stashed.id, units).data
  const [said, setSaid] = useState("")
  const refresh = async (error: unknown) => {
    setSaid(error ? saysOf(error) : "")
    await askAgain(queries, touched.stash)
  }
  const undo = async (action: number) => {
    const { error } = await api.POST("/actions/{id}/undo", { params: { path: { id: action } }, body: {} })
    await refresh(error)
  }
  return (
    <Dialog title={`${stashed.material.name}: where it came from, where it went`} onClose={onClose}>
      <NewEntry stashed={stashed} units={units} onWritten={refresh} />
      {said && <Problem className="pb-2">{said}</Problem>}
      {entries?.length === 0 && <p className="text-quiet">Nothing has come or gone yet.</p>}
      <table className="ledger w-full">
        <caption className="sr-only">Entries, the latest first</caption>
        <tbody>
          {entries?.map((entry) => (
            <Row key={entry.id} entry={entry} onUndo={() => void undo(entry.action)} />
          ))}
        </tbody>
      </table>
    </Dialog>
  )
}

const DAY: Intl.DateTimeFormatOptions = { day: "numeric", month: "short", year: "numeric" }

function Row({ entry, onUndo }: { entry: LedgerEntry; onUndo: () => void }) {
  const change = `${entry.change > 0 ? "+" : "−"}${Math.abs(entry.change)}`
  return (
    <tr>
      <th scope="row" className="text-left">
        {happenings[entry.kind]}
        {entry.wreath_name && (
          <>
            {" for "}
            <Link className="underline" to={`/wreaths/${entry.wreath}/cut`}>
              {entry.wreath_name}
            </Link>
          </>
        )}
      </th>
      <td>{new Date(entry.at).toLocaleDateString(undefined, DAY)}</td>
      <td>
        <Prose>{entry.size ? `${change} × ${entry.size}` : change}</Prose>
      </td>
      <td className="w-24 text-right">
        {entry.can_undo && (
          <button type="button" className="link text-sm font-normal" onClick={onUndo}>
            Take back
          </button>
        )}
      </td>
    </tr>
  )
}
