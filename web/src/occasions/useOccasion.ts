import { useQueryClient } from "@tanstack/react-query"
import { useCallback, useEffect, useRef, useState } from "react"
import { api, problemsOf, type CutBar, type Occasion, type Problem, type Units } from "../keep/client"
import { askAgain, keys, touched } from "../keep/keys"
import { alike, outcomeOf, sendLast } from "../keep/outcome"
import { useKeptOccasion } from "../keep/queries"
import { useKeeper } from "../keep/useKeeper"

export type OccasionSaid = { name: string; units: Units; occasion: Occasion["occasion"] }

const body = (said: OccasionSaid, version: number) => ({
  ...said,
  name: said.name.trim() || "Untitled occasion",
  version,
})

/**
 * One occasion while it is being planned: saved by itself, refused beside the field that is wrong. When somebody
 * else saved first, both are kept until the maker has chosen.
 */
export function useOccasion(id: number) {
  const queries = useQueryClient()
  const path = { params: { path: { id } } }
  const loaded = useKeptOccasion(id)
  const [said, setSaid] = useState<OccasionSaid>()
  const [theirs, setTheirs] = useState<Occasion>()
  const [problems, setProblems] = useState<Problem[]>([])
  const [refused, setRefused] = useState("")
  const version = useRef(0)

  const { keeper, saving } = useKeeper<OccasionSaid, Occasion>({
    send: (next) => outcomeOf(api.PUT("/occasions/{id}", { ...path, body: body(next, version.current) })),
    sendLast: (next, underWay) =>
      sendLast("PUT", `/api/occasions/${id}`, body(next, version.current + (underWay ? 1 : 0))),
    holds: (theirs, sent) => alike(theirs.occasion, sent.occasion) && theirs.name === body(sent, 0).name,
    onOutcome: (outcome) => {
      setProblems(outcome.kind === "refused" ? problemsOf(outcome.error) : [])
      if (outcome.kind === "conflict") return setTheirs(outcome.theirs)
      if (outcome.kind !== "kept") return
      version.current = outcome.answer.version
      queries.setQueryData(keys.occasion(id), outcome.answer)
      void askAgain(queries, ["occasions"])
    },
  })

  useEffect(() => {
    if (!loaded.data || loaded.data.version <= version.current) return
    version.current = loaded.data.version
    setSaid({ name: loaded.data.name, units: loaded.data.units, occasion: loaded.data.occasion })
  }, [loaded.data])

  const keep = useCallback(
    (next: OccasionSaid) => {
      setSaid(next)
      keeper.change(next)
    },
    [keeper],
  )

  /** After a conflict: whose goes on. */
  const choose = (whose: "mine" | "theirs") => {
    if (!theirs || !said) return
    version.current = theirs.version
    setTheirs(undefined)
    if (whose === "mine") return keeper.resume(said)
    setSaid({ name: theirs.name, units: theirs.units, occasion: theirs.occasion })
    keeper.resume()
  }

  const gather = async (wreaths: number[]) => {
    const { data } = await api.PUT("/occasions/{id}/wreaths", { ...path, body: { wreaths } })
    if (data) await askAgain(queries, touched.occasion)
  }

  const tick = async (place: string, done: boolean) => {
    const { data } = await api.PUT("/occasions/{id}/ticks", { ...path, body: { place, done } })
    if (data) queries.setQueryData(keys.occasion(id), data)
  }

  /** Takes the material of all out of the stash, or puts it back. */
  const settle = async (sheet?: CutBar[]) => {
    const { data, error } = sheet
      ? await api.POST("/occasions/{id}/cut", { ...path, body: { cut_sheet: sheet } })
      : await api.POST("/occasions/{id}/uncut", { ...path, body: {} })
    setRefused(
      data
        ? ""
        : problemsOf(error)
            .map((problem) => problem.says)
            .join(" "),
    )
    await askAgain(queries, touched.stash)
  }

  return {
    said,
    keep,
    saving,
    problems,
    theirs,
    choose,
    gather,
    tick,
    settle,
    refused,
    missing: loaded.isError,
    cut: loaded.data?.cut ?? false,
    ticks: loaded.data?.ticks ?? [],
    alreadyCut: loaded.data?.already_cut ?? 0,
    wreaths: loaded.data?.wreaths ?? [],
    planned: loaded.data?.planned ?? [],
  }
}
