import { useQuery, useQueryClient } from "@tanstack/react-query"
import { useCallback, useEffect, useRef, useState } from "react"
import { api, problemsOf, type CutBar, type Plan, type Wreath } from "../keep/client"
import { askAgain, keys, touched } from "../keep/keys"
import { alike, outcomeOf, sendLast } from "../keep/outcome"
import { askForWreath } from "../keep/queries"
import { useKeeper } from "../keep/useKeeper"

const MOST_STEPS = 100

/**
 * One wreath while it is being planned: its plan, what was changed, and its keeping. Every change is
 * on screen at once, can be undone, and is saved by itself a moment later. When somebody else saved
 * first, nothing is overwritten: both are kept until the maker has chosen.
 */
export function useWreath(id: number) {
  const queries = useQueryClient()
  const path = { params: { path: { id } } }
  const loaded = useQuery({
    queryKey: keys.wreath(id),
    queryFn: () => askForWreath(id),
    staleTime: 0,
    refetchOnWindowFocus: false,
  })
  const [plan, setPlan] = useState<Plan>()
  const [past, setPast] = useState<Plan[]>([])
  const [theirs, setTheirs] = useState<Wreath>()
  const [bench, setBench] = useState<{ cut: boolean; ticks: string[]; made: number }>({
    cut: false,
    ticks: [],
    made: 0,
  })
  const [refused, setRefused] = useState("")
  const version = useRef(0)

  const { keeper, saving } = useKeeper<Plan, Wreath>({
    send: (next) => outcomeOf(api.PUT("/wreaths/{id}", { ...path, body: { version: version.current, plan: next } })),
    sendLast: (next, underWay) =>
      sendLast("PUT", `/api/wreaths/${id}`, { version: version.current + (underWay ? 1 : 0), plan: next }),
    holds: (theirs, sent) => alike(theirs.plan, sent),
    onOutcome: (outcome) => {
      if (outcome.kind === "conflict") return setTheirs(outcome.theirs)
      if (outcome.kind !== "kept") return
      version.current = outcome.answer.version
      queries.setQueryData(keys.wreath(id), outcome.answer)
      void askAgain(queries, touched.wreath)
    },
  })

  useEffect(() => {
    if (!loaded.data || version.current >= loaded.data.version) return
    version.current = loaded.data.version
    setPlan(loaded.data.plan)
    setBench(loaded.data)
  }, [loaded.data])

  const keep = useCallback(
    (next: Plan) => {
      setPlan(next)
      keeper.change(next)
    },
    [keeper],
  )

  const change = useCallback(
    (next: Plan) => {
      if (plan) setPast((before) => [...before, plan].slice(-MOST_STEPS))
      keep(next)
    },
    [keep, plan],
  )

  const undo = useCallback(() => {
    const before = past.at(-1)
    if (!before) return
    setPast(past.slice(0, -1))
    keep(before)
  }, [keep, past])

  const tick = async (place: string, done: boolean) => {
    setBench((before) => ({
      ...before,
      ticks: done ? [...before.ticks, place] : before.ticks.filter((each) => each !== place),
    }))
    const { data } = await api.PUT("/wreaths/{id}/ticks", { ...path, body: { place, done } })
    if (data) setBench((before) => ({ ...before, ticks: data.ticks }))
  }

  /** Takes the material out of the stash, or puts it back. */
  const settleStash = async (sheet?: CutBar[]) => {
    await keeper.flush()
    const { data, error } = sheet
      ? await api.POST("/wreaths/{id}/cut", { ...path, body: { version: version.current, cut_sheet: sheet } })
      : await api.POST("/wreaths/{id}/uncut", { ...path, body: { version: version.current } })
    setRefused(
      data
        ? ""
        : problemsOf(error)
            .map((problem) => problem.says)
            .join(" "),
    )
    if (data) {
      version.current = data.version
      setBench(data)
      setPlan(data.plan)
      queries.setQueryData(keys.wreath(id), data)
    }
    await askAgain(
      queries,
      touched.stash.filter((about) => !data || about !== "wreath"),
    )
  }

  /** After a conflict: whose plan goes on. The other one stays in the undo, or is saved over. */
  const settle = (whose: "mine" | "theirs") => {
    if (!theirs || !plan) return
    version.current = theirs.version
    setTheirs(undefined)
    if (whose === "mine") return keeper.resume(plan)
    setPast((before) => [...before, plan].slice(-MOST_STEPS))
    setPlan(theirs.plan)
    keeper.resume()
  }

  return {
    plan,
    change,
    undo: past.length > 0 ? undo : undefined,
    saving,
    theirs,
    settle,
    missing: loaded.isError,
    bench,
    tick,
    settleStash,
    refused,
  }
}
