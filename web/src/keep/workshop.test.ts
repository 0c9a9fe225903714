import { beforeEach, describe, expect, it, vi } from "vitest"

type Workshop = typeof import("./workshop")

describe("the workshop of a device", () => {
  const kept = new Map<string, string>()
  const happened: string[] = []
  // A screen: it finds what the device has when it is loaded.
  const screen = async (): Promise<Workshop> => {
    vi.resetModules()
    return import("./workshop")
  }

  beforeEach(() => {
    kept.clear()
    happened.length = 0
    vi.stubGlobal("localStorage", {
      getItem: (name: string) => kept.get(name) ?? null,
      setItem: (name: string, value: string) => kept.set(name, value),
    })
    vi.stubGlobal("window", { dispatchEvent: (event: Event) => happened.push(event.type) })
  })

  it("is the first where nobody said, whose things have the names they always had", async () => {
    const { workshopHere, ownName, ownHeaders } = await screen()
    expect([workshopHere(), ownName("lantern.bench.7"), ownHeaders()]).toEqual([1, "lantern.bench.7", {}])
  })

  it("keeps what it counted apart from another's, under the same number of a wreath", async () => {
    const { goneTo, ownName, ownHeaders } = await screen()
    goneTo(12)
    expect([ownName("lantern.bench.7"), ownHeaders()]).toEqual(["lantern.bench.7@12", { "lantern-workshop": "12" }])
    goneTo(1)
    expect(ownName("lantern.bench.7")).toBe("lantern.bench.7")
  })

  it("stays what it was on a screen that was there before another one went elsewhere", async () => {
    const one = await screen()
    one.goneTo(3)
    const other = await screen()
    expect(other.workshopHere()).toBe(3)
    other.goneTo(12)
    expect([one.ownHeaders(), other.ownHeaders()]).toEqual([
      { "lantern-workshop": "3" },
      { "lantern-workshop": "12" },
    ])
  })

  it("says so when a screen is in another one than its device, and not for any other conflict", async () => {
    const { hasMoved, MOVED } = await screen()
    expect(hasMoved(new Response("", { status: 409 }))).toBe(false)
    expect(hasMoved(new Response("", { status: 200, headers: { "lantern-workshop": "2" } }))).toBe(false)
    expect(happened).toEqual([])
    expect(hasMoved(new Response("", { status: 409, headers: { "lantern-workshop": "2" } }))).toBe(true)
    expect(happened).toEqual([MOVED])
  })
})
