import { afterEach, beforeEach, describe, expect, it, vi } from "vitest"
import { Keeper, type Outcome, type Saving, type Ways } from "./keeper"

/** A server that answers as it is told, and remembers what it was sent. */
function server(...answers: (Outcome<string> | "hangs" | "throws")[]) {
  const sent: string[] = []
  const last: [string, boolean][] = []
  const said: Saving[] = []
  let answer: (outcome: Outcome<string>) => void = () => {}
  const ways: Ways<string, string> = {
    send: (change) => {
      sent.push(change)
      const next = answers.shift() ?? { kind: "kept", answer: change }
      if (next === "throws") return Promise.reject(new Error("no network"))
      if (next === "hangs") return new Promise((resolve) => (answer = resolve))
      return Promise.resolve(next)
    },
    sendLast: (change, underWay) => last.push([change, underWay]),
    onSaving: (saving) => said.push(saving),
  }
  return { ways, sent, last, said, answer: (outcome: Outcome<string>) => answer(outcome) }
}

const kept: Outcome<string> = { kind: "kept", answer: "kept" }

describe("a keeper", () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  it("sends the latest of several changes, once, a moment after the last", async () => {
    const there = server()
    const keeper = new Keeper(there.ways)
    keeper.change("a")
    await vi.advanceTimersByTimeAsync(400)
    keeper.change("ab")
    await vi.advanceTimersByTimeAsync(400)
    expect(there.sent).toEqual([])
    await vi.advanceTimersByTimeAsync(200)
    expect(there.sent).toEqual(["ab"])
    expect(there.said.at(-1)).toBe("saved")
  })

  it("goes on after a blip, with the latest, as often as it takes", async () => {
    const there = server({ kind: "away" }, "throws", { kind: "away" })
    const keeper = new Keeper(there.ways)
    keeper.change("a")
    await vi.advanceTimersByTimeAsync(600)
    expect(there.said.at(-1)).toBe("away")
    await vi.advanceTimersByTimeAsync(4000)
    keeper.change("ab")
    await vi.advanceTimersByTimeAsync(20_000)
    expect(there.sent).toEqual(["a", "a", "ab", "ab"])
    expect(there.said.at(-1)).toBe("saved")
    keeper.change("abc")
    await vi.advanceTimersByTimeAsync(600)
    expect(there.sent.at(-1)).toBe("abc")
  })

  it("knows its own change again when only the answer to it was lost", async () => {
    const there = server({ kind: "away" }, { kind: "conflict", theirs: "a" })
    const outcomes: string[] = []
    const holds = (theirs: string, change: string) => theirs === change
    const keeper = new Keeper({ ...there.ways, holds, onOutcome: ({ kind }) => outcomes.push(kind) })
    keeper.change("a")
    await vi.advanceTimersByTimeAsync(600)
    keeper.change("ab")
    await vi.advanceTimersByTimeAsync(600)
    expect(there.sent).toEqual(["a", "ab", "ab"])
    expect(outcomes).toEqual(["away", "kept", "kept"])
    expect(there.said.at(-1)).toBe("saved")
  })

  it("takes nobody else's change for its own", async () => {
    const there = server({ kind: "away" }, { kind: "conflict", theirs: "b" })
    const keeper = new Keeper({ ...there.ways, holds: (theirs: string, change: string) => theirs === change })
    keeper.change("a")
    await vi.advanceTimersByTimeAsync(6000)
    expect(there.said.at(-1)).toBe("conflict")
    expect(there.sent).toEqual(["a", "a"])
  })

  it("has one request under way at a time, and then sends what was changed meanwhile", async () => {
    const there = server("hangs")
    const keeper = new Keeper(there.ways)
    keeper.change("a")
    await vi.advanceTimersByTimeAsync(600)
    keeper.change("ab")
    await vi.advanceTimersByTimeAsync(5000)
    expect(there.sent).toEqual(["a"])
    there.answer(kept)
    await vi.advanceTimersByTimeAsync(0)
    expect(there.sent).toEqual(["a", "ab"])
  })

  it("sends what waits when the page is left, and says whether another is under way", async () => {
    const there = server("hangs")
    const keeper = new Keeper(there.ways)
    keeper.change("a")
    keeper.leave()
    expect(there.last).toEqual([["a", false]])
    keeper.change("b")
    await vi.advanceTimersByTimeAsync(600)
    keeper.change("bc")
    keeper.leave()
    expect(there.last.at(-1)).toEqual(["bc", true])
    await vi.advanceTimersByTimeAsync(9000)
    expect(there.sent).toEqual(["b"])
  })

  it("flushes at once when it is asked to, as when the maker goes to another screen", async () => {
    const there = server()
    const keeper = new Keeper(there.ways)
    keeper.change("a")
    await keeper.flush()
    expect(there.sent).toEqual(["a"])
  })

  it("stops at a conflict, keeps what was changed, and goes on with what the maker chose", async () => {
    const there = server({ kind: "conflict", theirs: "theirs" })
    const keeper = new Keeper(there.ways)
    keeper.change("mine")
    await vi.advanceTimersByTimeAsync(600)
    expect(there.said.at(-1)).toBe("conflict")
    keeper.change("mine, longer")
    await vi.advanceTimersByTimeAsync(9000)
    expect(there.sent).toEqual(["mine"])
    keeper.resume("mine, longer")
    await vi.advanceTimersByTimeAsync(600)
    expect(there.sent).toEqual(["mine", "mine, longer"])
    keeper.change("x")
    keeper.resume()
    await vi.advanceTimersByTimeAsync(600)
    expect(there.sent.at(-1)).toBe("mine, longer")
  })

  it("waits for the maker over what an earlier visit left, and drops nothing when the page goes", async () => {
    const there = server()
    const keeper = new Keeper(there.ways)
    keeper.hold("left")
    keeper.change("left, and more")
    keeper.leave()
    await vi.advanceTimersByTimeAsync(9000)
    expect([there.sent, there.last, there.said.at(-1), keeper.idle]).toEqual([[], [], "conflict", false])
    keeper.resume("left, and more")
    await vi.advanceTimersByTimeAsync(600)
    expect([there.sent, keeper.idle]).toEqual([["left, and more"], true])
  })

  it("is idle only when nothing is to be sent or on its way", async () => {
    const there = server("hangs")
    const keeper = new Keeper(there.ways)
    expect(keeper.idle).toBe(true)
    keeper.change("a")
    expect(keeper.idle).toBe(false)
    await vi.advanceTimersByTimeAsync(600)
    expect(keeper.idle).toBe(false)
    there.answer(kept)
    await vi.advanceTimersByTimeAsync(0)
    expect(keeper.idle).toBe(true)
  })

  it("says what is refused, does not ask again, and takes the next change", async () => {
    const there = server({ kind: "refused", error: "no day" })
    const keeper = new Keeper(there.ways)
    keeper.change("bad")
    await vi.advanceTimersByTimeAsync(20_000)
    expect(there.sent).toEqual(["bad"])
    expect(there.said.at(-1)).toBe("refused")
    keeper.change("good")
    await vi.advanceTimersByTimeAsync(600)
    expect(there.said.at(-1)).toBe("saved")
  })

  it("joins what happened into one, and loses none of it", async () => {
    const there = server({ kind: "away" })
    const keeper = new Keeper<string, string>({ ...there.ways, join: (before, after) => before + after })
    keeper.change("1")
    keeper.change("2")
    await vi.advanceTimersByTimeAsync(600)
    keeper.change("3")
    await vi.advanceTimersByTimeAsync(9000)
    expect(there.sent).toEqual(["12", "123"])
  })
})
