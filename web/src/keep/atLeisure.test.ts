import { expect, test, vi } from "vitest"
import { atLeisure, dropWaiting } from "./atLeisure"

const leisure = () => new Promise((done) => setTimeout(done, 1))

test("of what goes by one name the latest is done, and nothing that was dropped", async () => {
  vi.stubGlobal("window", {})
  const done: string[] = []
  atLeisure("wreath 1", () => done.push("first"))
  atLeisure("wreath 1", () => done.push("latest"))
  atLeisure("wreath 2", () => done.push("dropped"))
  dropWaiting("wreath 2")
  await leisure()
  expect(done).toEqual(["latest"])
  atLeisure("wreath 1", () => done.push("after signing out"))
  dropWaiting()
  await leisure()
  atLeisure("wreath 3", () => done.push("later"))
  await leisure()
  expect(done).toEqual(["latest", "later"])
  vi.unstubAllGlobals()
})
