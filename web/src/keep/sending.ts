/** Questions change nothing; all other posts happen once, whoever sends them how often. */
const QUESTIONS = /\/api\/(ask|account)\//

/** How long to wait before a change that got no answer, or not its turn, is sent again, in milliseconds. */
const AGAIN = [400, 1600]

/** A name that no other request has. */
export const nameOfItsOwn = () =>
  crypto.randomUUID?.() ??
  `${Date.now()}-${Math.random().toString(36).slice(2)}-${Math.random().toString(36).slice(2)}`

/** The header by which the server knows a change again that it has made already. */
export const once = (name: string) => ({ "idempotency-key": name })

/**
 * Sends a request. A change carries a name of its own, so that it can be sent again when no answer came: the network
 * went away, or the server died after it was done; or when so much was done just then that it had not its turn.
 */
export async function send(
  request: Request,
  ask: (request: Request) => Promise<Response> = (each) => fetch(each),
  pause: (milliseconds: number) => Promise<void> = (milliseconds) =>
    new Promise((done) => setTimeout(done, milliseconds)),
): Promise<Response> {
  if (request.method !== "POST" || QUESTIONS.test(new URL(request.url).pathname)) return ask(request)
  const named = new Request(request)
  if (!named.headers.has("idempotency-key")) named.headers.set("idempotency-key", nameOfItsOwn())
  for (const milliseconds of AGAIN) {
    try {
      const answer = await ask(named.clone())
      // So much is done just then that it had not its turn, and nothing was changed.
      if (answer.status !== 503) return answer
    } catch (error) {
      if (named.signal.aborted) throw error
    }
    await pause(milliseconds)
  }
  return ask(named)
}
