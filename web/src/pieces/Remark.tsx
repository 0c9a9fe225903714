/** Something that has to be said once, and is then known. */
export function Remark({ says, onClose }: { says: string; onClose: () => void }) {
  return (
    <div role="status" className="notice-bar">
      <p>{says}</p>
      <button type="button" className="plain-button" onClick={onClose}>
        All right
      </button>
    </div>
  )
}
