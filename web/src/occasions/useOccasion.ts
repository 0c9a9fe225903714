import { useQuery, useQueryClient } from "@tanstack/react-query"
import { useCallback, useEffect, useRef, useState } from "react"
import { answered, api, problemsOf, type CutBar, type Occasion, type Problem, type Units } from "../api/client"

type Said = { name: string; units: Units; occasion: Occasion["occasion"] }

const PAUSE = 500

/** One occasion while it is being planned: saved by itself, refused beside the field that is wrong, never over somebody else's. */
export function useOccasion(id: number) {
  const queries = useQueryClient()
  const loaded = useQuery({ queryKey: ["occasions", id], queryFn: async () => answered(await api.GET("/occasions/{id}", { params: { path: { id } } })), refetchOnWindowFocus: false })
  const [said, setSaid] = useState<Said>()
  const [problems, setProblems] = useState<Problem[]>([])
  const [saving, setSaving] = useState("saved")
  const [refused, setRefused] = useState("")
  const version = useRef(0)
  const timer = useRef<number>(undefined)
  const waiting = useRef<Said>(undefined)
  const busy = useRef(false)

  useEffect(() => {
    if (!loaded.data || loaded.data.version <= version.current) return
    version.current = loaded.data.version
    setSaid({ name: loaded.data.name, units: loaded.data.units, occasion: loaded.data.occasion })
  }, [loaded.data])

  const send = useCallback(async () => {
    if (busy.current) return
    busy.current = true
    while (waiting.current) {
      const next = waiting.current
      waiting.current = undefined
      const { data, error, response } = await api.PUT("/occasions/{id}", { params: { path: { id } }, body: { ...next, name: next.name || "Untitled occasion", version: version.current } })
      const theirs = response?.status === 409 ? (error as { current: Occasion }).current : undefined
      if (data) queries.setQueryData(["occasions", id], data)
      if (theirs) {
        setSaid({ name: theirs.name, units: theirs.units, occasion: theirs.occasion })
        waiting.current = undefined
      }
      version.current = (data ?? theirs)?.version ?? version.current
      setProblems(data ? [] : problemsOf(error))
      setSaving(data ? "saved" : theirs ? "somebody else saved it first; theirs is shown" : "not saved")
      if (data) await queries.invalidateQueries({ queryKey: ["occasions"] })
    }
    busy.current = false
  }, [id, queries])

  const keep = useCallback((next: Said) => {
    setSaid(next)
    setSaving("saving")
    waiting.current = next
    window.clearTimeout(timer.current)
    timer.current = window.setTimeout(() => void send(), PAUSE)
  }, [send])

  const gather = useCallback(async (wreaths: number[]) => {
    const { data } = await api.PUT("/occasions/{id}/wreaths", { params: { path: { id } }, body: { wreaths } })
    if (data) await queries.invalidateQueries({ predicate: ({ queryKey }) => ["occasions", "wreaths"].includes(String(queryKey[0])) })
  }, [id, queries])

  const tick = useCallback(async (place: string, done: boolean) => {
    const { data } = await api.PUT("/occasions/{id}/ticks", { params: { path: { id } }, body: { place, done } })
    if (data) queries.setQueryData(["occasions", id], data)
  }, [id, queries])

  /** Takes the material of all out of the stash, or puts it back. */
  const settle = useCallback(async (sheet?: CutBar[]) => {
    const path = { params: { path: { id } } }
    const { data, error } = sheet
      ? await api.POST("/occasions/{id}/cut", { ...path, body: { cut_sheet: sheet as unknown as Record<string, never>[] } })
      : await api.POST("/occasions/{id}/uncut", { ...path, body: {} })
    setRefused(data ? "" : problemsOf(error).map((problem) => problem.says).join(" "))
    await queries.invalidateQueries({ predicate: ({ queryKey }) => ["occasions", "wreaths", "wreath", "materials", "ledger"].includes(String(queryKey[0])) })
  }, [id, queries])

  return { tick, settle, refused, cut: loaded.data?.cut ?? false, ticks: loaded.data?.ticks ?? [], alreadyCut: loaded.data?.already_cut ?? 0, said, keep, gather, problems, saving, wreaths: loaded.data?.wreaths ?? [], missing: loaded.isError }
}
