import { Suspense, type ReactNode } from "react"
import { ErrorBoundary } from "react-error-boundary"
import { useLocation } from "react-router"
import { Problem } from "./Problem"

interface Props {
  /** What stands there until it is loaded. */
  fallback?: ReactNode
  children: ReactNode
}

/** A part that is loaded when it is wanted: one that cannot be loaded says so in its place, and all else stays. */
export function Loaded({ fallback, children }: Props) {
  // Elsewhere something else is opened.
  const { pathname } = useLocation()
  return (
    <ErrorBoundary FallbackComponent={NotLoaded} resetKeys={[pathname]}>
      <Suspense fallback={fallback}>{children}</Suspense>
    </ErrorBoundary>
  )
}

function NotLoaded() {
  return (
    <div className="p-6">
      <Problem>
        This part could not be opened: the server is away, or there is a new version. What you typed is kept on this
        device.
      </Problem>
      <button type="button" className="btn mt-3" onClick={() => window.location.reload()}>
        Open it again
      </button>
    </div>
  )
}
