import { useQueryClient } from "@tanstack/react-query"
import { useEffect } from "react"
import { atLeisure } from "../keep/atLeisure"
import type { Step } from "../keep/client"
import { moveQuery } from "../keep/queries"

/** Has all moves of a wreath on this device, so that they are there when the server is not. */
export function useMovesKept(steps: Step[]) {
  const queries = useQueryClient()
  const moves = [...new Set(steps.flatMap(({ move, moves = [move] }) => moves))].join(" ")
  useEffect(() => {
    atLeisure("moves", () => moves.split(" ").forEach((key) => void queries.prefetchQuery(moveQuery(key))))
  }, [moves, queries])
}
