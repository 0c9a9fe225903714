import { describe, expect, it } from "vitest"
import { once, send } from "./sending"

const request = (path: string, init: RequestInit = {}) =>
  new Request(`http://localhost/api${path}`, { method: "POST", body: "{}", ...init })

/** A server that answers only the last of so many tries, and what it was asked. */
function deafFor(times: number) {
  const names: (string | null)[] = []
  return {
    names,
    ask: async (each: Request) => {
      names.push(each.headers.get("idempotency-key"))
      expect(await each.text()).toBe(each.method === "POST" ? "{}" : "")
      if (names.length <= times) throw new TypeError("Failed to fetch")
      return new Response("{}")
    },
  }
}

const atOnce = async () => undefined

describe("a change", () => {
  it("is sent again under the same name until it is answered", async () => {
    const server = deafFor(2)
    expect((await send(request("/wreaths/7/finish"), server.ask, atOnce)).ok).toBe(true)
    expect(server.names).toHaveLength(3)
    expect(new Set(server.names).size).toBe(1)
    expect(server.names[0]).toMatch(/^[A-Za-z0-9-]{8,80}$/)
  })

  it("has another name each time, unless it is given one", async () => {
    const server = deafFor(0)
    await send(request("/wreaths"), server.ask, atOnce)
    await send(request("/wreaths"), server.ask, atOnce)
    await send(request("/wreaths", { headers: once("mine-12345") }), server.ask, atOnce)
    expect(new Set(server.names).size).toBe(3)
    expect(server.names[2]).toBe("mine-12345")
  })

  it("has its turn later where too much was done at once, and says so where it never has", async () => {
    const answers = [503, 503, 200, 503, 503, 503]
    const ask = async () => new Response("{}", { status: answers.shift() })
    expect((await send(request("/wreaths/7/bought"), ask, atOnce)).status).toBe(200)
    expect((await send(request("/wreaths/7/bought"), ask, atOnce)).status).toBe(503)
    expect(answers).toEqual([])
  })

  it("is given up after a while", async () => {
    const server = deafFor(9)
    await expect(send(request("/wreaths"), server.ask, atOnce)).rejects.toThrow("Failed to fetch")
    expect(server.names).toHaveLength(3)
  })
})

it("a question is asked once, and needs no name", async () => {
  const server = deafFor(1)
  await expect(send(request("/ask/try"), server.ask, atOnce)).rejects.toThrow()
  expect(server.names).toEqual([null])
})
