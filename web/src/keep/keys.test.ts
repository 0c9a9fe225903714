import { QueryClient } from "@tanstack/react-query"
import { expect, it } from "vitest"
import { askAgain, keys, touched } from "./keys"

it("asks again about what a change touches, and about nothing else", async () => {
  const queries = new QueryClient()
  const all = [
    keys.wreaths(),
    keys.wreath(3),
    keys.materials("in"),
    keys.ledger(1, "cm"),
    keys.notebook(),
    keys.occasion(2),
  ]
  all.forEach((key) => queries.setQueryData(key, {}))
  await askAgain(queries, touched.stash)
  const stale = all.filter((key) => queries.getQueryState(key)?.isInvalidated).map((key) => key[0])
  expect(stale).toEqual(["wreaths", "wreath", "materials", "ledger", "occasions"])
})

it("keeps an occasion's worked answer under the occasion's own name", () => {
  expect(keys.workedOccasion(4).slice(0, 2)).toEqual([...keys.occasion(4)])
})
