import { useQuery, useQueryClient } from "@tanstack/react-query"
import { useCallback, useEffect, useRef, useState } from "react"
import { answered, api, problemsOf, Refusal, sent, type CutBar, type Plan, type Wreath } from "../api/client"

export type Saving = "saved" | "saving" | "waiting" | "conflict" | "failed"

const PAUSE = 500

/**
 * One wreath while it is being planned: its plan, what was changed, and its keeping. Every change is
 * on screen at once, can be undone, and is saved by itself a moment later. When somebody else saved
 * first, nothing is overwritten: both are kept until the maker has chosen.
 */
export function useWreath(id: number) {
  const queries = useQueryClient()
  const loaded = useQuery({ queryKey: ["wreath", id], queryFn: async () => answered(await api.GET("/wreaths/{id}", { params: { path: { id } } })), staleTime: 0, refetchOnWindowFocus: false })
  const [plan, setPlan] = useState<Plan>()
  const [past, setPast] = useState<Plan[]>([])
  const [saving, setSaving] = useState<Saving>("saved")
  const [theirs, setTheirs] = useState<Wreath>()
  const [bench, setBench] = useState<{ cut: boolean; ticks: string[]; made: number }>({ cut: false, ticks: [], made: 0 })
  const [refused, setRefused] = useState("")
  const version = useRef(0)
  const waiting = useRef<Plan>(undefined)
  const busy = useRef(false)
  const timer = useRef<number>(undefined)

  useEffect(() => {
    if (!loaded.data || version.current >= loaded.data.version) return
    version.current = loaded.data.version
    setPlan(loaded.data.plan)
    setBench(loaded.data)
  }, [loaded.data])

  const save = useCallback(async () => {
    const next = waiting.current
    if (!next || busy.current) return
    busy.current = true
    waiting.current = undefined
    setSaving("saving")
    try {
      const { data, error, response } = await api.PUT("/wreaths/{id}", { params: { path: { id } }, body: { version: version.current, plan: sent(next) } })
      if (data) {
        version.current = data.version
        queries.setQueryData(["wreath", id], data)
        void queries.invalidateQueries({ predicate: ({ queryKey }) => ["wreaths", "templates", "occasions"].includes(String(queryKey[0])) })
        setSaving("saved")
      } else if (response.status === 409) {
        setTheirs((error as { current: Wreath }).current)
        setSaving("conflict")
      } else throw new Refusal([], response.status)
    } catch {
      waiting.current ??= next
      setSaving("failed")
      timer.current = window.setTimeout(save, 4000)
    } finally {
      busy.current = false
      if (waiting.current && !timer.current) void save()
    }
  }, [id, queries])

  const keep = useCallback((next: Plan) => {
    setPlan(next)
    waiting.current = next
    setSaving("waiting")
    window.clearTimeout(timer.current)
    timer.current = window.setTimeout(() => {
      timer.current = undefined
      void save()
    }, PAUSE)
  }, [save])

  useEffect(() => {
    const leave = () => {
      if (!waiting.current) return
      void fetch(`/api/wreaths/${id}`, { method: "PUT", keepalive: true, headers: { "content-type": "application/json" }, body: JSON.stringify({ version: version.current, plan: waiting.current }) })
      waiting.current = undefined
    }
    window.addEventListener("pagehide", leave)
    return () => {
      window.removeEventListener("pagehide", leave)
      window.clearTimeout(timer.current)
      timer.current = undefined
      void save()
    }
  }, [id, save])

  const change = useCallback((next: Plan) => {
    if (plan) setPast((before) => [...before.slice(-99), plan])
    keep(next)
  }, [keep, plan])

  const undo = useCallback(() => {
    const before = past.at(-1)
    if (!before) return
    setPast(past.slice(0, -1))
    keep(before)
  }, [keep, past])

  /** What the server now says of the wreath, after something other than its plan was changed. */
  const take = useCallback((wreath: Wreath) => {
    version.current = wreath.version
    setBench(wreath)
    queries.setQueryData(["wreath", id], wreath)
  }, [id, queries])

  const tick = useCallback(async (place: string, done: boolean) => {
    setBench((before) => ({ ...before, ticks: done ? [...before.ticks, place] : before.ticks.filter((each) => each !== place) }))
    const { data } = await api.PUT("/wreaths/{id}/ticks", { params: { path: { id } }, body: { place, done } })
    if (data) setBench((before) => ({ ...before, ticks: data.ticks }))
  }, [id])

  /** Takes the material out of the stash, or puts it back. */
  const settleStash = useCallback(async (sheet?: CutBar[]) => {
    await save()
    const path = { params: { path: { id } } }
    const { data, error } = sheet
      ? await api.POST("/wreaths/{id}/cut", { ...path, body: { version: version.current, cut_sheet: sheet as unknown as Record<string, never>[] } })
      : await api.POST("/wreaths/{id}/uncut", { ...path, body: { version: version.current } })
    setRefused(data ? "" : problemsOf(error).map((problem) => problem.says).join(" "))
    if (data) {
      take(data)
      setPlan(data.plan)
    }
    await queries.invalidateQueries({ predicate: ({ queryKey }) => ["materials", "wreaths", "ledger", "coverings"].includes(String(queryKey[0])) || (!data && queryKey[0] === "wreath") })
  }, [id, queries, save, take])

  /** After a conflict: whose plan goes on. The other one stays in the undo, or is saved over. */
  const settle = useCallback((whose: "mine" | "theirs") => {
    if (!theirs || !plan) return
    version.current = theirs.version
    setTheirs(undefined)
    if (whose === "mine") keep(plan)
    else {
      setPast((before) => [...before, plan])
      setPlan(theirs.plan)
      waiting.current = undefined
      setSaving("saved")
    }
  }, [keep, plan, theirs])

  return { plan, change, undo: past.length > 0 ? undo : undefined, saving, theirs, settle, missing: loaded.isError, bench, tick, settleStash, refused }
}
