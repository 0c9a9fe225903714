import { useQuery, useQueryClient } from "@tanstack/react-query"
import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from "react"
import { problemsOf, type Problem } from "./client"
import { differences } from "./differences"
import { draftOf, dropDraft, keepDraft } from "./drafts"
import type { Outcome } from "./keeper"
import { askAgain, type About } from "./keys"
import { JUST_ASKED } from "./queries"
import { useKeeper } from "./useKeeper"
import { useNotices } from "./useNotices"
import { usePast } from "./usePast"
import { useShown } from "./useShown"

/** A kind of document that is saved by itself: a wreath, an occasion. */
export interface DocumentKind<Row extends { version: number }, Said> {
  what: string
  key: (id: number) => readonly unknown[]
  load: (id: number) => Promise<Row>
  /** As this device saw it last, before it was asked for. */
  lastSeen?: (id: number) => Row | undefined
  save: (id: number, version: number, said: Said) => Promise<Outcome<Row>>
  /** The page is going: nobody waits for an answer. */
  sendLast: (id: number, version: number, said: Said) => void
  /** What the maker says in it. */
  said: (row: Row) => Said
  /** What of it the maker changes here, and nobody else's doing changes with it. */
  own: (said: Said) => unknown
  /** What is said, with whatever the stash now says of it. */
  renewed?: (said: Said, row: Row) => Said
  /** Called with every row that was kept. */
  onKept?: (row: Row) => void
  /** What has to be said of a row that was just kept, if anything. */
  remark?: (row: Row) => string | undefined
  touched: readonly About[]
}

const saysTheSame = <Row extends { version: number }, Said>(kind: DocumentKind<Row, Said>, one: Said, other: Said) =>
  JSON.stringify(kind.own(one)) === JSON.stringify(kind.own(other))

/**
 * How a screen begins: with what an earlier visit changed and could not have kept, if there is any, to be sent, or held
 * until the maker has chosen; else with what is there, and what others have changed of it since this device saw it.
 */
function beginning<Row extends { version: number }, Said>(kind: DocumentKind<Row, Said>, id: number, row: Row) {
  const now = kind.said(row)
  const draft = draftOf<Said>(kind.what, id)
  if (draft && !saysTheSame(kind, draft.said, now)) {
    const then = draft.version === row.version ? ("send" as const) : ("hold" as const)
    return { said: draft.said, then, changed: [] }
  }
  dropDraft(kind.what, id)
  const before = draft ? undefined : kind.lastSeen?.(id)
  const news = before !== undefined && before.version < row.version
  const changed = news ? differences(kind.own(kind.said(before)), kind.own(now)) : []
  return { said: now, then: "show" as const, changed }
}

/** Takes a row that this screen has made: it goes on from there. */
function useAdopting<Row extends { version: number }, Said>(
  { key }: DocumentKind<Row, Said>,
  id: number,
  versionRef: RefObject<number>,
) {
  const queries = useQueryClient()
  return useCallback(
    (row: Row) => {
      versionRef.current = row.version
      queries.setQueryData(key(id), row)
    },
    [id, key, queries, versionRef],
  )
}

/**
 * One document while it is being changed. Every change is on screen at once, can be taken back and done again, is kept
 * on this device and saved by itself a moment later. What others change shows by itself; when somebody else saved
 * first, nothing is overwritten and nothing typed is dropped: both are there until the maker has chosen.
 */
export function useDocument<Row extends { version: number }, Said>(kind: DocumentKind<Row, Said>, id: number) {
  const queries = useQueryClient()
  const loaded = useQuery({
    queryKey: kind.key(id),
    queryFn: () => kind.load(id),
    staleTime: JUST_ASKED,
    refetchOnWindowFocus: false,
  })
  const { shown: said, now, show } = useShown<Said>()
  const past = usePast<Said>(kind.own)
  const [theirs, setTheirs] = useState<Row>()
  const { setElsewhere, setRemark, ...notices } = useNotices()
  const [problems, setProblems] = useState<Problem[]>([])
  const version = useRef(0)

  const { keeper, saving } = useKeeper<Said, Row>({
    send: (next) => kind.save(id, version.current, next),
    sendLast: (next, underWay) => kind.sendLast(id, version.current + (underWay ? 1 : 0), next),
    holds: (row, sent) => saysTheSame(kind, kind.said(row), sent),
    onOutcome: (outcome) => {
      setProblems(outcome.kind === "refused" ? problemsOf(outcome.error) : [])
      if (outcome.kind === "conflict") return setTheirs(outcome.theirs)
      if (outcome.kind !== "kept") return
      adopt(outcome.answer)
      kind.onKept?.(outcome.answer)
      setRemark((before) => kind.remark?.(outcome.answer) ?? before)
      if (keeper.idle) dropDraft(kind.what, id)
      void askAgain(queries, kind.touched)
    },
  })

  const adopt = useAdopting(kind, id, version)

  const begin = (row: Row) => {
    const { said, then, changed } = beginning(kind, id, row)
    version.current = row.version
    show(said)
    setElsewhere(changed)
    if (then === "send") keeper.change(said)
    if (then !== "hold") return
    setTheirs(row)
    keeper.hold(said)
  }

  /** Somebody else has changed it: said, and how. */
  const tell = (before: Said, after: Said) => {
    const changed = differences(kind.own(before), kind.own(after))
    if (changed.length > 0) setElsewhere(changed)
    return changed.length > 0
  }

  /** What is there now, which may be what others have made of it. */
  const take = (row: Row) => {
    const before = now()
    if (before === undefined) return begin(row)
    if (row.version < version.current) return
    if (theirs) return row.version > theirs.version ? setTheirs(row) : undefined
    if (!keeper.idle) return kind.renewed && show(kind.renewed(before, row))
    if (row.version > version.current && tell(before, kind.said(row))) past.forget()
    version.current = row.version
    if (JSON.stringify(kind.said(row)) !== JSON.stringify(before)) show(kind.said(row))
  }

  const taking = useRef(take)
  useEffect(() => {
    taking.current = take
  })
  useEffect(() => {
    if (loaded.data) taking.current(loaded.data)
  }, [loaded.data])

  const keep = useCallback(
    (next: Said) => {
      show(next)
      keepDraft(kind.what, id, { version: version.current, said: next })
      keeper.change(next)
    },
    [id, keeper, kind, show],
  )

  const { note, move } = past
  const change = useCallback(
    (next: Said) => {
      const before = now()
      if (before !== undefined) note(before, next)
      keep(next)
    },
    [keep, note, now],
  )

  /** So many changes back, or, of less than nothing, forth. */
  const goBack = useCallback(
    (steps: number) => {
      const there = move(steps)
      if (there !== undefined) keep(there)
    },
    [keep, move],
  )

  /** After a conflict: whose goes on. The other one stays in the undo, or is saved over. */
  const settle = (whose: "mine" | "theirs") => {
    const mine = now()
    if (!theirs || mine === undefined) return
    version.current = theirs.version
    setTheirs(undefined)
    if (whose === "mine") {
      keepDraft(kind.what, id, { version: theirs.version, said: mine })
      return keeper.resume(mine)
    }
    dropDraft(kind.what, id)
    note(mine, kind.said(theirs))
    show(kind.said(theirs))
    queries.setQueryData(kind.key(id), theirs)
    keeper.resume()
  }

  return {
    row: loaded.data,
    said,
    now,
    version: useCallback(() => version.current, []),
    change,
    past: useMemo(() => ({ done: past.done, undone: past.undone, goBack }), [past.done, past.undone, goBack]),
    saving,
    flush: useCallback(() => keeper.flush(), [keeper]),
    adopt,
    problems,
    conflict: theirs && said !== undefined ? differences(kind.own(said), kind.own(kind.said(theirs))) : undefined,
    settle,
    ...notices,
    missing: loaded.isError,
  }
}
