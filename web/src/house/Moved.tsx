import { useEffect, useState } from "react"
import { MOVED } from "../keep/workshop"

/** Says when another screen of this device has gone to another workshop: then nothing of this one arrives. */
export function Moved() {
  const [moved, setMoved] = useState(false)
  useEffect(() => {
    const now = () => setMoved(true)
    window.addEventListener(MOVED, now)
    return () => window.removeEventListener(MOVED, now)
  }, [])
  if (!moved) return null
  return (
    <p role="alert" className="flex flex-wrap items-center gap-3 border-b border-error px-4 py-2 font-semibold">
      Another screen of this device has gone to another workshop. What you change here is not saved.
      <button type="button" className="btn" onClick={() => window.location.assign("/")}>
        Go there
      </button>
    </p>
  )
}
