import { Refusal } from "./client"
import { ownHeaders } from "./workshop"

/** What is said on the way, and at the end. */
interface Line {
  done?: number
  of?: number
  film?: string
  type?: string
  problems?: { at: string; says: string }[]
}

/**
 * The wreath being made, as an animated picture. How much of it is done is told on the way.
 * @param step the id of the step that is shown alone
 * @returns its data address
 */
export async function filmOf(
  id: number,
  format: string,
  step: string | undefined,
  left: AbortSignal,
  onProgress: (share: number) => void,
): Promise<string> {
  const asked = new URLSearchParams({ format, ...(step ? { step } : {}) })
  const answer = await fetch(`/api/wreaths/${id}/film?${asked}`, { headers: ownHeaders(), signal: left })
  let last: Line = {}
  for await (const line of linesOf(answer)) {
    last = lineOf(line)
    if (last.of) onProgress((last.done ?? 0) / last.of)
  }
  if (last.problems) throw new Refusal(last.problems)
  if (!last.film) throw new Error("The film broke off.")
  return `data:${last.type};base64,${last.film}`
}

/** What is no line of ours is nothing: somebody between has answered. */
function lineOf(text: string): Line {
  try {
    return JSON.parse(text) as Line
  } catch {
    return {}
  }
}

/** The lines of an answer as they arrive. */
export async function* linesOf(answer: Pick<Response, "body">): AsyncGenerator<string> {
  const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ""
  for (;;) {
    const { done, value = "" } = (await reader?.read()) ?? { done: true }
    const lines = (rest + value).split("\n")
    rest = lines.pop() ?? ""
    yield* lines
    if (done) break
  }
  if (rest) yield rest
}
