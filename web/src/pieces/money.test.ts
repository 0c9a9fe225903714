import { afterEach, expect, it } from "vitest"
import { money, percent, reckonIn } from "./money"

afterEach(() => reckonIn("USD"))

it("says a sum in the currency of the application", () => {
  expect(money("10.50")).toBe("$10.50")
  expect(money(3)).toBe("$3.00")
  reckonIn("EUR")
  expect(money("10.50")).toBe("€10.50")
  reckonIn("JPY")
  expect(money("1050")).toBe("¥1,050")
})

it("leaves alone what is no sum, while it is typed", () => {
  expect(money("1.5O")).toBe("1.5O")
  expect(money(undefined)).toBe("")
})

it("never says that it is certain", () => {
  expect(percent(0.9712)).toBe("97 %")
  expect(percent(1)).toBe("over 99 %")
})
