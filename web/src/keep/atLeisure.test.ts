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

test("a short pause has time for one thing, and where none comes for long all is done", () => {
  const pauses: IdleRequestCallback[] = []
  vi.stubGlobal("window", { requestIdleCallback: (doIt: IdleRequestCallback) => pauses.push(doIt) })
  const done: string[] = []
  const all = ["one", "two", "three", "four"]
  all.forEach((name) => atLeisure(name, () => done.push(name)))
  pauses.shift()!({ didTimeout: false, timeRemaining: () => 2 })
  expect(done).toEqual(["one"])
  pauses.shift()!({ didTimeout: true, timeRemaining: () => 0 })
  expect(done).toEqual(all)
  expect(pauses).toEqual([])
  vi.unstubAllGlobals()
})
