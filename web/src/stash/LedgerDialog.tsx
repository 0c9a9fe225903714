import { useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { Link } from "react-router"
import { api, problemsOf, type StashMaterial, type Units } from "../api/client"
import { useLedger } from "../api/queries"
import { Dialog } from "../pieces/Dialog"
import { Prose } from "../pieces/Prose"

const kinds: Record<string, string> = { bought: "bought", cut: "cut", remnant: "left over", returned: "returned", corrected: "corrected", thrown_away: "thrown away", splice: "has a join", undone: "taken back" }

/** Where a material came from and where it went, entry by entry; and a line to write the next one. */
export function LedgerDialog({ stashed, units, onClose }: { stashed: StashMaterial; units: Units; onClose: () => void }) {
  const queries = useQueryClient()
  const entries = useLedger(stashed.id, units).data
  const [kind, setKind] = useState("bought")
  const [size, setSize] = useState("")
  const [width, setWidth] = useState("")
  const [said, setSaid] = useState("")
  const { material } = stashed
  const counted = !["ribbon", "rope", "mesh", "wire", "fabric"].includes(material.kind)
  const refresh = async (error: unknown) => {
    setSaid(error ? problemsOf(error).map((problem) => problem.says).join(" ") : "")
    await queries.invalidateQueries({ predicate: ({ queryKey }) => ["materials", "ledger", "wreaths", "wreath"].includes(String(queryKey[0])) })
  }
  const write = async () => {
    const piece = counted ? Number(size) : material.kind === "fabric" ? { width: width, length: size } : size
    const { error } = await api.POST("/materials/{id}/ledger", { params: { path: { id: stashed.id } }, body: { kind: kind as "bought", piece, change: kind === "bought" || kind === "returned" ? 1 : -1, units } })
    if (!error) setSize("")
    await refresh(error)
  }
  const split = async () => {
    const { error } = await api.POST("/materials/{id}/splice", { params: { path: { id: stashed.id } }, body: { piece: size, at: width, units } })
    if (!error) { setSize(""); setWidth("") }
    await refresh(error)
  }
  const undo = async (action: number) => {
    const { error } = await api.POST("/actions/{id}/undo", { params: { path: { id: action } }, body: {} })
    await refresh(error)
  }
  return (
    <Dialog title={`${material.name}: where it came from, where it went`} onClose={onClose}>
      <form className="flex flex-wrap items-center gap-2 pb-3" onSubmit={(event) => { event.preventDefault(); if (size.trim()) void (kind === "splice" ? split() : write()) }}>
        <select aria-label="What happened" className="field-input !w-36 !text-left" value={kind} onChange={(event) => setKind(event.target.value)}>
          {["bought", "returned", "thrown_away", ...(stashed.pieces.length > 0 ? ["splice"] : [])].map((each) => <option key={each} value={each}>{kinds[each]}</option>)}
        </select>
        {material.kind === "fabric" && <input aria-label="Width" placeholder="Width" className="field-input !w-28" value={width} onChange={(event) => setWidth(event.target.value)} />}
        <input aria-label={counted ? "How many" : "Length"} placeholder={counted ? "How many" : "Length"} className="field-input !w-28" value={size} onChange={(event) => setSize(event.target.value)} />
        {kind === "splice" && <input aria-label="Join at" placeholder="Join at" className="field-input !w-28" value={width} onChange={(event) => setWidth(event.target.value)} />}
        <button type="submit" className="plain-button">Write it down</button>
      </form>
      {said && <p role="alert" className="pb-2 font-semibold text-error">{said}</p>}
      {entries?.length === 0 && <p className="text-quiet">Nothing has come or gone yet.</p>}
      <table className="ledger w-full">
        <caption className="sr-only">Entries, the latest first</caption>
        <tbody>
          {entries?.map((entry) => (
            <tr key={entry.id}>
              <th scope="row" className="text-left">{kinds[entry.kind]}{entry.wreath_name && <>{" "}for <Link className="underline" to={`/wreaths/${entry.wreath}/cut`}>{entry.wreath_name}</Link></>}</th>
              <td>{new Date(entry.at).toLocaleDateString(undefined, { day: "numeric", month: "short", year: "numeric" })}</td>
              <td><Prose>{`${entry.change > 0 ? "+" : "−"}${Math.abs(entry.change)}${entry.size && ` × ${entry.size}`}`}</Prose></td>
              <td className="w-24 text-right">{entry.can_undo && <button type="button" className="link-button text-sm font-normal" onClick={() => void undo(entry.action)}>Take back</button>}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Dialog>
  )
}
