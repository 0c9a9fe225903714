import { useCallback, useEffect, useRef, useState } from "react"
import { api, type Bench } from "../keep/client"
import { outcomeOf, sendLast } from "../keep/outcome"
import { nameOfItsOwn } from "../keep/sending"
import { useKeeper } from "../keep/useKeeper"
import { ownName } from "../keep/workshop"
import { keptFrom, nothing, placeOf, sums, without, type Happened, type Kept, type Stand } from "./happened"

const RETRY = 3000
const LOOK_AGAIN = 4000
/** The make after the one that stands there, if it is known which that is. */
const after = ({ make }: Stand) => (make === undefined ? undefined : make + 1)
/** As many as the server takes at once. */
const MOST_AT_ONCE = 500

/**
 * Where a wreath stands at the bench, on this table and on the server. What happens is kept here first,
 * and sent until it has arrived; what arrived counts once. So nothing is lost when the lid closes, the
 * browser dies or the server is away, and two devices on one wreath agree.
 */
export function useBench(id: number) {
  const name = ownName(`lantern.bench.${id}`)
  const [kept, setKept] = useState<Kept>(() => keptFrom(localStorage.getItem(name)))
  const [missed, setMissed] = useState(false)
  const latest = useRef(kept)
  const arrivals = useRef(0)
  const path = { params: { path: { id } } }

  const keep = useCallback(
    (next: Kept) => {
      latest.current = next
      localStorage.setItem(name, JSON.stringify(next))
      setKept(next)
    },
    [name],
  )

  const { keeper, saving } = useKeeper<Happened[], Bench>({
    pause: 0,
    retry: RETRY,
    join: (before, after) => [...before, ...after],
    send: (events) =>
      outcomeOf(api.POST("/wreaths/{id}/bench", { ...path, body: { events: events.slice(0, MOST_AT_ONCE) } })),
    sendLast: (events) => sendLast("POST", `/api/wreaths/${id}/bench`, { events: events.slice(0, MOST_AT_ONCE) }),
    onOutcome: (outcome, sent) => {
      if (outcome.kind !== "kept") return
      arrivals.current += 1
      keep({ bench: outcome.answer, waiting: without(latest.current.waiting, sent.slice(0, MOST_AT_ONCE)) })
      setMissed(false)
      if (sent.length > MOST_AT_ONCE) keeper.change(sent.slice(MOST_AT_ONCE))
    },
  })

  const look = useCallback(async () => {
    if (latest.current.waiting.length > 0) return keeper.flush()
    const before = arrivals.current
    const outcome = await outcomeOf(api.GET("/wreaths/{id}/bench", { params: { path: { id } } })).catch(
      () => undefined,
    )
    setMissed(outcome?.kind !== "kept")
    // What was asked before something arrived is older than what arrived.
    const settled = before === arrivals.current && latest.current.waiting.length === 0
    if (outcome?.kind === "kept" && settled) keep({ ...latest.current, bench: outcome.answer })
  }, [id, keep, keeper])

  useEffect(() => {
    // What an earlier visit could not send.
    if (latest.current.waiting.length > 0) keeper.change(latest.current.waiting)
  }, [keeper])

  useEffect(() => {
    const now = () => void look()
    now()
    const again = window.setInterval(now, LOOK_AGAIN)
    window.addEventListener("online", now)
    window.addEventListener("focus", now)
    return () => {
      window.clearInterval(again)
      window.removeEventListener("online", now)
      window.removeEventListener("focus", now)
    }
  }, [look])

  const happen = useCallback(
    (kind: Happened["kind"], step: string, amount: number) => {
      const happened = { event: nameOfItsOwn(), step, kind, amount, make: latest.current.bench.make }
      keep({ ...latest.current, waiting: [...latest.current.waiting, happened] })
      keeper.change([happened])
    },
    [keep, keeper],
  )

  return {
    counts: sums("count", kept),
    seconds: sums("time", kept),
    place: placeOf(kept),
    finished: kept.bench.finished,
    waiting: kept.waiting.length,
    away: missed || saving === "away",
    happen,
    /** Forgets what was kept here, after the make was finished: the next one begins. */
    forget: useCallback(
      () => keep({ bench: { ...nothing, make: after(latest.current.bench) }, waiting: [] }),
      [keep],
    ),
  }
}
