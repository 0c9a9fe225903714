import type { Outcome } from "./keeper"
import { hasMoved, ownHeaders } from "./workshop"

interface Answered<Row> {
  data?: Row
  error?: unknown
  response?: Response
}

/** What a call that saves came to, for whoever keeps it. */
export async function outcomeOf<Row>(call: Promise<Answered<Row>>): Promise<Outcome<Row>> {
  const { data, error, response } = await call
  if (data !== undefined) return { kind: "kept", answer: data }
  if (response?.status === 409 && isConflict<Row>(error)) return { kind: "conflict", theirs: error.current }
  // It is for the workshop that this device has left, and is kept until it is back there.
  if (hasMoved(response)) return { kind: "away" }
  if (response && response.status >= 400 && response.status < 500) return { kind: "refused", error }
  return { kind: "away" }
}

/** Whether two documents say the same. */
export const alike = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other)

const isConflict = <Row>(error: unknown): error is { current: Row } =>
  typeof error === "object" && error !== null && "current" in error

/** A last word as the page goes: the browser sends it on, and nobody waits for the answer. */
export function sendLast(method: "PUT" | "POST", path: string, body: unknown) {
  void fetch(path, {
    method,
    keepalive: true,
    headers: { "content-type": "application/json", ...ownHeaders() },
    body: JSON.stringify(body),
  }).catch(() => undefined)
}
