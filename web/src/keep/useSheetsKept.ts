import { useEffect } from "react"

/** What is looked at beside the work, and may be wanted while the server is away. */
const SHEETS = ["cut-sheet.pdf", "pattern-card.pdf"]
/** Milliseconds after which they are fetched: what the maker does now comes first. */
const LATER = 5000

/** Has the sheets of a wreath kept on this device, where it keeps anything. */
export function useSheetsKept(id: number) {
  useEffect(() => {
    if (!("serviceWorker" in navigator) || !navigator.serviceWorker.controller) return
    const timer = setTimeout(() => void keepSheets(id), LATER)
    return () => clearTimeout(timer)
  }, [id])
}

/** The worker between this page and the server keeps what comes by; one after the other, since each takes a while. */
async function keepSheets(id: number) {
  for (const sheet of SHEETS) await fetch(`/api/wreaths/${id}/${sheet}`).catch(() => undefined)
}
