import type { ReactNode } from "react"
import { useIsMaker } from "../keep/queries"

/** What only a maker of the workshop may change: a helper sees it, and nothing in it can be acted on. */
export function ForMakers({ children, quiet }: { children: ReactNode; quiet?: boolean }) {
  const maker = useIsMaker()
  if (maker) return children
  return (
    <fieldset disabled className="contents" aria-label="For makers of this workshop">
      {!quiet && <p className="pb-1 text-sm text-quiet">You are a helper here: a maker changes this.</p>}
      {children}
    </fieldset>
  )
}

/** What a helper has no use for. */
export function OnlyMakers({ children }: { children: ReactNode }) {
  return useIsMaker() ? children : null
}
