import { Bar } from "./Bar"
/** Something that has to be said once, and is then known. */
export function Remark({ says, onClose }: { says: string; onClose: () => void }) {
  return (
    <Bar>
      <p>{says}</p>
      <button type="button" className="btn" onClick={onClose}>
        All right
      </button>
    </Bar>
  )
}
