import { useQueryClient } from "@tanstack/react-query"
import { useEffect, useRef } from "react"
import type { Revisions } from "./client"
import { askAgain, news } from "./keys"
import { useRevisions } from "./queries"

/** Has whatever was changed, by whichever device, asked again by the screens that show it. */
export function useNews() {
  const queries = useQueryClient()
  const known = useRef<Revisions>(undefined)
  const { data: now } = useRevisions()
  useEffect(() => {
    if (!now) return
    const about = changedSince(known.current, now)
    known.current = now
    if (about.length > 0) void askAgain(queries, about)
  }, [now, queries])
}

/** What has to be asked again, each once; nothing when there was nothing before. */
export const changedSince = (before: Revisions | undefined, now: Revisions) => [
  ...new Set(
    (Object.keys(news) as (keyof Revisions)[])
      .filter((topic) => before !== undefined && before[topic] !== now[topic])
      .flatMap((topic) => news[topic]),
  ),
]
