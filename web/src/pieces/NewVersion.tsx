import { useEffect, useState } from "react"
import { useLocation } from "react-router"
import { registerSW } from "virtual:pwa-register"

const ON_TOP =
  "fixed top-2 left-1/2 z-30 -translate-x-1/2 rounded-field border bg-accent px-4 py-1.5 text-accent-content"

/** Milliseconds after which what is needed without the server is fetched: what the maker wants comes first. */
const LATER = 15_000

/** Keeps the application on this device, and offers a new version: never in the middle of a count. */
export function NewVersion() {
  const { pathname } = useLocation()
  const [take, setTake] = useState<() => void>()
  useEffect(() => {
    const timer = setTimeout(() => {
      const update = registerSW({ onNeedRefresh: () => setTake(() => () => void update(true)) })
    }, LATER)
    return () => clearTimeout(timer)
  }, [])
  if (!take || pathname.endsWith("/bench")) return null
  return (
    <p role="status" className={`no-print ${ON_TOP}`}>
      A new version is here. What you have saved stays.{" "}
      <button type="button" className="link font-semibold" onClick={take}>
        Take it
      </button>
    </p>
  )
}
