import { useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { api, saysOf, type CutBar, type Plan, type Wreath } from "../keep/client"
import { askAgain, keys, touched } from "../keep/keys"
import { outcomeOf, sendLast } from "../keep/outcome"
import { askForWreath, noteWreath, wreathSeenBefore } from "../keep/queries"
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

/** One wreath while it is being planned: its plan, what was changed, its keeping, and what is cut of it. */
export function useWreath(id: number) {
  const queries = useQueryClient()
  const path = { params: { path: { id } } }
  const { row, said: plan, ...document } = useDocument(KIND, id)
  const [refused, setRefused] = useState("")

  const tick = async (place: string, done: boolean) => {
    const ticked = (ticks: string[]) => (done ? [...ticks, place] : ticks.filter((each) => each !== place))
    queries.setQueryData<Wreath>(keys.wreath(id), (now) => now && { ...now, ticks: ticked(now.ticks) })
    const { data } = await api.PUT("/wreaths/{id}/ticks", { ...path, body: { place, done } })
    if (data) queries.setQueryData<Wreath>(keys.wreath(id), (now) => now && { ...now, ticks: data.ticks })
  }

  /** Takes the material out of the stash, or puts it back. */
  const settleStash = async (sheet?: CutBar[]) => {
    await document.flush()
    const version = document.version()
    const { data, error } = sheet
      ? await api.POST("/wreaths/{id}/cut", { ...path, body: { version, cut_sheet: sheet } })
      : await api.POST("/wreaths/{id}/uncut", { ...path, body: { version } })
    setRefused(data ? "" : saysOf(error))
    if (data) {
      document.adopt(data)
      noteWreath(data)
    }
    await askAgain(
      queries,
      touched.stash.filter((about) => !data || about !== "wreath"),
    )
  }

  return {
    ...document,
    plan,
    bench: { cut: row?.cut ?? false, ticks: row?.ticks ?? [], made: row?.made ?? 0 },
    tick,
    settleStash,
    refused,
  }
}
