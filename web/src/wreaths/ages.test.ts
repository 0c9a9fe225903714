import { expect, it } from "vitest"
import { ageSays, sizeSays } from "./ages"

const now = Date.parse("2026-07-02T12:00:00Z")

it.each([
  ["2026-07-02T11:59:00Z", "less than an hour"],
  ["2026-07-02T12:05:00Z", "less than an hour"],
  ["2026-07-02T10:30:00Z", "one hour"],
  ["2026-07-01T10:00:00Z", "26 hours"],
  ["2026-06-30T11:00:00Z", "2 days"],
])("of %s says %s", (at, says) => expect(ageSays(at, now)).toBe(says))

it("says sizes as people do", () => {
  expect([0, 1499, 1_250_000].map(sizeSays)).toEqual(["1 kB", "1 kB", "1.3 MB"])
})
