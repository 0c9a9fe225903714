import { keepPreviousData, useQuery } from "@tanstack/react-query"
import { again, later } from "./again"
import { ask, type Asked, type QuestionPath } from "./client"
import { keys } from "./keys"

/**
 * A question that the contract declares, under `/ask/`; what was answered before stays until the new answer is there.
 *
 *     const { data } = useQuestion("/ask/bare", looking ? plan : undefined)
 *
 * @param by what the answer follows from, where that is less than all that is sent
 */
export const useQuestion = <P extends QuestionPath>(path: P, body: Asked<P> | undefined, by: unknown = body) =>
  useQuery({
    queryKey: keys.question(path, by),
    enabled: body !== undefined,
    gcTime: 60_000,
    retry: again,
    retryDelay: later,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => ask(path, body!, signal),
  })
