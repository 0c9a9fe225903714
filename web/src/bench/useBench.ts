import { useCallback, useEffect, useMemo, useRef, useState } from "react"
import { api, type Bench } from "../api/client"

interface Happened { event: string; step: string; kind: "count" | "go" | "time"; amount: number }
interface Kept { bench: Bench; waiting: Happened[] }

const nothing: Bench = { counts: {}, seconds: {}, place: null, finished: 0 }
const RETRY = 3000
const LOOK_AGAIN = 4000

/**
 * Where a wreath stands at the bench, on this table and on the server. What happens is kept here first,
 * and sent until it has arrived; what arrived counts once. So nothing is lost when the lid closes, the
 * browser dies or the server is away, and two devices on one wreath agree.
 */
export function useBench(id: number) {
  const key = `lantern.bench.${id}`
  const kept = useRef<Kept>(read(key))
  const [, redraw] = useState(0)
  const [away, setAway] = useState(false)
  const [known, setKnown] = useState(false)
  const sending = useRef(false)
  const arrivals = useRef(0)
  const timer = useRef<number>(undefined)

  const keep = useCallback((next: Kept) => {
    kept.current = next
    localStorage.setItem(key, JSON.stringify(next))
    redraw((count) => count + 1)
  }, [key])

  const send = useCallback(async () => {
    if (sending.current || kept.current.waiting.length === 0) return
    sending.current = true
    const sent = kept.current.waiting.slice(0, 500)
    const { data, status } = await attempt(api.POST("/wreaths/{id}/bench", { params: { path: { id } }, body: { events: sent } }))
    sending.current = false
    if (data) {
      arrivals.current += 1
      const names = new Set(sent.map((each) => each.event))
      keep({ bench: data, waiting: kept.current.waiting.filter((each) => !names.has(each.event)) })
      setAway(false)
      setKnown(true)
      if (kept.current.waiting.length > 0) void send()
    } else if (status !== 404) {
      setAway(true)
      window.clearTimeout(timer.current)
      timer.current = window.setTimeout(() => void send(), RETRY)
    }
  }, [id, keep])

  const look = useCallback(async () => {
    if (kept.current.waiting.length > 0) return send()
    const before = arrivals.current
    const { data } = await attempt(api.GET("/wreaths/{id}/bench", { params: { path: { id } } }))
    setAway(!data)
    // What was asked before something arrived is older than what arrived.
    if (data && before === arrivals.current && !sending.current) {
      keep({ ...kept.current, bench: data })
      setKnown(true)
    }
  }, [id, keep, send])

  useEffect(() => {
    void look()
    const again = window.setInterval(() => void look(), LOOK_AGAIN)
    const now = () => void look()
    window.addEventListener("online", now)
    window.addEventListener("focus", now)
    return () => {
      window.clearInterval(again)
      window.clearTimeout(timer.current)
      window.removeEventListener("online", now)
      window.removeEventListener("focus", now)
    }
  }, [look])

  const happen = useCallback((kind: Happened["kind"], step: string, amount: number) => {
    keep({ ...kept.current, waiting: [...kept.current.waiting, { event: name(), step, kind, amount }] })
    void send()
  }, [keep, send])

  const { bench, waiting } = kept.current
  const sums = useMemo(() => (kind: "count" | "time", arrived: Record<string, number>) =>
    waiting.filter((each) => each.kind === kind).reduce<Record<string, number>>((all, each) => ({ ...all, [each.step]: Math.max((all[each.step] ?? 0) + each.amount, 0) }), arrived), [waiting])
  return {
    counts: sums("count", bench.counts), seconds: sums("time", bench.seconds),
    place: waiting.findLast((each) => each.kind === "go")?.step ?? bench.place ?? undefined,
    finished: bench.finished, waiting: waiting.length, away, known: known || away, happen,
    /** Forgets what was kept here, after the make was finished. */
    forget: useCallback(() => keep({ bench: nothing, waiting: [] }), [keep]),
  }
}

function read(key: string): Kept {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? "") as Kept
    return Array.isArray(kept.waiting) ? kept : { bench: nothing, waiting: [] }
  } catch {
    return { bench: nothing, waiting: [] }
  }
}

async function attempt<T>(call: Promise<{ data?: T; response: Response }>): Promise<{ data?: T; status?: number }> {
  try {
    const { data, response } = await call
    return { data, status: response.status }
  } catch {
    return {}
  }
}

const name = () => crypto.randomUUID?.() ?? `${Date.now()}-${Math.random().toString(36).slice(2)}`
