import { useEffect } from "react"

/** What is looked at beside the work, and may be wanted while the server is away. */
const SHEETS = ["cut-sheet.pdf", "pattern-card.pdf"]
/** Milliseconds after which they are fetched: what the maker does now comes first. */
const LATER = 5000
/** How long until a sheet that a busy server refused is asked for again, in milliseconds. */
const AGAIN = [5000, 15_000, 45_000, 120_000]

/** Has the sheets of a wreath kept on this device, where it keeps anything. */
export function useSheetsKept(id: number) {
  useEffect(() => {
    if (!("serviceWorker" in navigator) || !navigator.serviceWorker.controller) return
    const left = new AbortController()
    const timer = setTimeout(() => void keepSheets(id, left.signal), LATER)
    return () => {
      clearTimeout(timer)
      left.abort()
    }
  }, [id])
}

/** The worker between this page and the server keeps what comes by; one after the other, since each takes a while. */
async function keepSheets(id: number, left: AbortSignal) {
  for (const sheet of SHEETS) await keepSheet(`/api/wreaths/${id}/${sheet}`, left)
}

async function keepSheet(path: string, left: AbortSignal) {
  for (const pause of AGAIN) {
    const kept = await fetch(path).catch(() => undefined)
    if (kept?.ok || left.aborted) return
    await new Promise((done) => setTimeout(done, pause))
  }
}
