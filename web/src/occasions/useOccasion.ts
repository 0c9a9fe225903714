import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, saysOf, type CutBar, type Occasion, type Units } from "../keep/client"
import { askAgain, keys, touched } from "../keep/keys"
import { outcomeOf, sendLast } from "../keep/outcome"
import { askForOccasion } from "../keep/queries"
import { useDocument, type DocumentKind } from "../keep/useDocument"

export type OccasionSaid = { name: string; units: Units; occasion: Occasion["occasion"] }

const body = (said: OccasionSaid, version: number) => ({
  ...said,
  name: said.name.trim() || "Untitled occasion",
  version,
})

const KIND: DocumentKind<Occasion, OccasionSaid> = {
  what: "occasion",
  key: keys.occasion,
  load: askForOccasion,
  save: (id, version, said) =>
    outcomeOf(api.PUT("/occasions/{id}", { params: { path: { id } }, body: body(said, version) })),
  sendLast: (id, version, said) => sendLast("PUT", `/api/occasions/${id}`, body(said, version)),
  said: ({ name, units, occasion }) => ({ name, units, occasion }),
  own: (said) => ({ ...said, name: body(said, 0).name }),
  touched: ["occasions"],
}

/** One occasion while it is being planned: what is said of it, its keeping, its wreaths, and what is cut for them. */
export function useOccasion(id: number) {
  const queries = useQueryClient()
  const path = { params: { path: { id } } }
  const { row, ...document } = useDocument(KIND, id)
  const [refused, setRefused] = useState("")

  // What was ticked stands at once; each tick is told by itself, after the one before it.
  const [ticked, setTicked] = useState<Record<number, boolean>>({})
  const kept = row?.wreaths ?? []
  const more = Object.keys(ticked).map(Number)
  const wreaths = [...new Set([...kept, ...more])].filter((each) => ticked[each] ?? true)
  const told = useMutation({
    scope: { id: `wreaths of occasion ${id}` },
    mutationFn: async (body: { wreath: number; hangs: boolean }) =>
      answered(await api.PUT("/occasions/{id}/wreaths", { ...path, body })),
    onSuccess: () => setRefused(""),
    onError: (error) => setRefused(error.message),
    onSettled: async (_data, _error, { wreath, hangs }) => {
      await askAgain(queries, touched.occasion)
      setTicked(({ [wreath]: now, ...others }) =>
        now === undefined || now === hangs ? others : { ...others, [wreath]: now },
      )
    },
  })
  const gather = (wreath: number, hangs: boolean) => {
    setTicked((now) => ({ ...now, [wreath]: hangs }))
    told.mutate({ wreath, hangs })
  }

  const tick = async (place: string, done: boolean) => {
    const { data } = await api.PUT("/occasions/{id}/ticks", { ...path, body: { place, done } })
    if (data) queries.setQueryData(keys.occasion(id), data)
  }

  /** Takes the material of all out of the stash, or puts it back. */
  const settleStash = async (sheet?: CutBar[]) => {
    const { data, error } = sheet
      ? await api.POST("/occasions/{id}/cut", { ...path, body: { cut_sheet: sheet } })
      : await api.POST("/occasions/{id}/uncut", { ...path, body: {} })
    setRefused(data ? "" : saysOf(error))
    await askAgain(queries, touched.stash)
  }

  return {
    ...document,
    gather,
    tick,
    settleStash,
    refused,
    cut: row?.cut ?? false,
    ticks: row?.ticks ?? [],
    alreadyCut: row?.already_cut ?? 0,
    wreaths,
    planned: row?.planned ?? [],
  }
}
