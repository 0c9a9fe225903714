import type { ReactNode } from "react"
import { reckonIn } from "../pieces/money"
import { useSettings } from "./queries"

/** Everything in the currency of the application; it waits for nothing else than to know which that is. */
export function InOurCurrency({ children }: { children: ReactNode }) {
  const settings = useSettings()
  if (settings.isPending) return null
  const currency = settings.data?.currency ?? "USD"
  reckonIn(currency)
  return <div key={currency}>{children}</div>
}
