import { expect, test } from "vitest"
import type { TapeFigure } from "../keep/client"
import { changesSay } from "./changesSay"

const figure = (key: "count" | "money", number: string, says: string): TapeFigure => ({
  id: key,
  key,
  figure: number,
  says,
  working: "",
})

test("only what has changed is said, and nothing on the first look", () => {
  const before = [figure("count", "80", "coils"), figure("money", "$10.50", "to pay")]
  const after = [figure("count", "72", "coils"), figure("money", "$10.50", "to pay")]
  expect(changesSay(before, after)).toBe("Now 72 coils.")
  expect(changesSay(before, before)).toBe("")
  expect(changesSay([], after)).toBe("")
})
