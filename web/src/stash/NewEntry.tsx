import { useState } from "react"
import { api, type StashMaterial, type Units } from "../keep/client"
import { useDeclarations } from "../keep/queries"
import { happenings } from "./happenings"

interface Props {
  stashed: StashMaterial
  units: Units
  /** Called when it was written, or with what stands in the way. */
  onWritten: (error: unknown) => Promise<void>
}

type Kind = "bought" | "returned" | "thrown_away" | "splice"

/** A line to write down what came or went; of a length, also that it holds a join. */
export function NewEntry({ stashed, units, onWritten }: Props) {
  const [kind, setKind] = useState<Kind>("bought")
  const [size, setSize] = useState("")
  const [width, setWidth] = useState("")
  const kinds = useDeclarations().data?.materials
  const sold = kinds?.find((each) => each.kind === stashed.material.kind)?.sold ?? "count"
  const joins = sold === "length" && stashed.pieces.length > 0
  const offered: Kind[] = ["bought", "returned", "thrown_away", ...(joins ? (["splice"] as const) : [])]
  const length = sold === "count" ? "How many" : "Length"
  const path = { params: { path: { id: stashed.id } } }
  const write = async () => {
    if (kind === "splice")
      return api.POST("/materials/{id}/splice", { ...path, body: { piece: size, at: width, units } })
    const piece = sold === "count" ? Number(size) : sold === "sheet" ? { width, length: size } : size
    const change = kind === "thrown_away" ? -1 : 1
    return api.POST("/materials/{id}/ledger", { ...path, body: { kind, piece, change, units } })
  }
  const submit = async () => {
    const { error } = await write()
    if (!error) {
      setSize("")
      setWidth("")
    }
    await onWritten(error)
  }
  return (
    <form
      className="flex flex-wrap items-center gap-2 pb-3"
      onSubmit={(event) => {
        event.preventDefault()
        if (size.trim()) void submit()
      }}
    >
      <select
        aria-label="What happened"
        className="select w-36 text-left"
        value={kind}
        onChange={(event) => setKind(event.target.value as Kind)}
      >
        {offered.map((each) => (
          <option key={each} value={each}>
            {happenings[each]}
          </option>
        ))}
      </select>
      {sold === "sheet" && <Size label="Width" value={width} onChange={setWidth} />}
      <Size label={length} value={size} onChange={setSize} />
      {kind === "splice" && <Size label="Join at" value={width} onChange={setWidth} />}
      <button type="submit" className="btn">
        Write it down
      </button>
    </form>
  )
}

function Size({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
  return (
    <input
      aria-label={label}
      placeholder={label}
      className="input w-28"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  )
}
