import { useQueryClient } from "@tanstack/react-query"
import { useCallback, useMemo, useState } from "react"
import { api, saysOf, type ChangePlan, type CutBar, type Plan, type Wreath } from "../keep/client"
import { askAgain, keys, touched } from "../keep/keys"
import { outcomeOf, sendLast } from "../keep/outcome"
import { askForWreath, beginWork, noteWreath, wreathSeenBefore } from "../keep/queries"
import { useAsBefore } from "../keep/useAsBefore"
import { useDocument, type DocumentKind } from "../keep/useDocument"

const KIND: DocumentKind<Wreath, Plan> = {
  what: "wreath",
  key: keys.wreath,
  load: askForWreath,
  lastSeen: wreathSeenBefore,
  save: (id, version, plan) =>
    outcomeOf(api.PUT("/wreaths/{id}", { params: { path: { id } }, body: { version, plan } })),
  sendLast: (id, version, plan) => sendLast("PUT", `/api/wreaths/${id}`, { version, plan }),
  said: (wreath) => wreath.plan,
  // What a material is and costs, the stash says.
  own: ({ materials, ...plan }) => ({ ...plan, materials: materials?.map(({ id }) => ({ id })) }),
  renewed: (plan, wreath) => ({ ...plan, materials: renewed(plan.materials, wreath.plan.materials) }),
  onKept: noteWreath,
  remark: ({ kept_apart }) =>
    kept_apart &&
    `${kept_apart.map(({ name }) => `“${name}”`).join(", ")}: something else in your stash has the same id, ` +
      "so this plan keeps a material of its own.",
  touched: touched.wreath,
}

/** Materials with what the stash now says of those that are known there. */
const renewed = (materials: Plan["materials"], now: Plan["materials"]) =>
  materials?.map((material) => now?.find(({ id }) => id === material.id) ?? material)

const NO_TICKS: string[] = []

/** One wreath while it is being planned: its plan, what was changed, its keeping, and what is cut of it. */
export function useWreath(id: number) {
  const queries = useQueryClient()
  const { row, said: plan, ...document } = useDocument(KIND, id)
  const { change: changed, now, flush, version, adopt } = document
  const [refused, setRefused] = useState("")

  const change = useCallback(
    (next: Parameters<ChangePlan>[0]) => {
      const before = now()
      if (typeof next === "function" && before === undefined) return
      const plan = typeof next === "function" ? next(before!) : next
      beginWork(queries, plan, id)
      changed(plan)
    },
    [changed, id, now, queries],
  )

  const tick = useCallback(
    async (place: string, done: boolean) => {
      const ticked = (ticks: string[]) => (done ? [...ticks, place] : ticks.filter((each) => each !== place))
      queries.setQueryData<Wreath>(keys.wreath(id), (now) => now && { ...now, ticks: ticked(now.ticks) })
      const { data } = await api.PUT("/wreaths/{id}/ticks", { params: { path: { id } }, body: { place, done } })
      if (data) queries.setQueryData<Wreath>(keys.wreath(id), (now) => now && { ...now, ticks: data.ticks })
    },
    [id, queries],
  )

  /** Takes the material out of the stash, or puts it back. */
  const settleStash = useCallback(
    async (sheet?: CutBar[]) => {
      await flush()
      const path = { params: { path: { id } } }
      const { data, error } = sheet
        ? await api.POST("/wreaths/{id}/cut", { ...path, body: { version: version(), cut_sheet: sheet } })
        : await api.POST("/wreaths/{id}/uncut", { ...path, body: { version: version() } })
      setRefused(data ? "" : saysOf(error))
      if (data) {
        adopt(data)
        noteWreath(data)
      }
      await askAgain(
        queries,
        touched.stash.filter((about) => !data || about !== "wreath"),
      )
    },
    [adopt, flush, id, queries, version],
  )

  const [bought, setBought] = useState<number>()
  /** What has to be bought is in the stash now; or, when it is taken back, is not. */
  const buy = useCallback(
    async (back?: number, only?: string[]) => {
      await flush()
      const { data, error } =
        back === undefined
          ? await api.POST("/wreaths/{id}/bought", { params: { path: { id } }, body: { version: version(), only } })
          : await api.POST("/actions/{id}/undo", { params: { path: { id: back } }, body: {} })
      setRefused(data ? "" : saysOf(error))
      if (data) setBought("action" in data ? data.action : undefined)
      await askAgain(queries, touched.stash)
      return data !== undefined
    },
    [flush, id, queries, version],
  )

  const { cut = false, ticks = NO_TICKS, made = 0, at_bench = false } = row ?? {}
  const ticked = useAsBefore(ticks)
  const bench = useMemo(() => ({ cut, ticks: ticked, made, at_bench }), [cut, ticked, made, at_bench])
  return {
    ...document,
    change,
    plan,
    bench,
    tick,
    settleStash,
    bought,
    buy,
    refused,
  }
}
