import { answered, api } from "./client"
import { nameOfItsOwn } from "./sending"

/** Bytes of a part: at five thousand a second six seconds, and no wait where it is fast. */
const PART = 32_768
/** As many as a whole may have, and of how many bytes each. */
const MOST = 400
const MOST_BYTES = 1_000_000
/** How often a part is sent before it is given up, and how long after each time, in milliseconds. */
const TRIES = 8
const AFTER = 500

/** How much has arrived, of how much; in bytes. */
export interface Progress {
  sent: number
  of: number
}

/** Whether something can be sent in parts. */
export const fitsInParts = (whole: Blob) => whole.size <= MOST * MOST_BYTES

/** The name under which the parts of something have arrived, so that trying again goes on where it broke. */
const names = new WeakMap<Blob, string>()

/**
 * Sends something in parts; what has arrived before is not sent again.
 * @returns its name and how many parts it has
 */
export async function sendInParts(
  whole: Blob,
  onProgress: (progress: Progress) => void,
  pause: (milliseconds: number) => Promise<void> = (milliseconds) =>
    new Promise((done) => setTimeout(done, milliseconds)),
) {
  const upload = names.get(whole) ?? nameOfItsOwn()
  names.set(whole, upload)
  const size = Math.max(PART, Math.ceil(whole.size / MOST))
  const parts = Math.max(1, Math.ceil(whole.size / size))
  const path = { upload }
  const there = await trying(pause, async () => answered(await api.GET("/uploads/{upload}", { params: { path } })))
  const arrived = new Set(there.parts)
  for (let number = 0; number < parts; number++) {
    onProgress({ sent: Math.min(number * size, whole.size), of: whole.size })
    if (arrived.has(number)) continue
    const part = whole.slice(number * size, (number + 1) * size)
    await trying(pause, async () =>
      answered(
        await api.PUT("/uploads/{upload}/{number}", {
          params: { path: { upload, number } },
          headers: { "content-type": "application/octet-stream" },
          body: "",
          bodySerializer: () => part,
        }),
      ),
    )
  }
  onProgress({ sent: whole.size, of: whole.size })
  return { upload, parts }
}

/** What is kept of a photo, if not all: its middle as a piece of cloth, or what was cut out of it. */
export type KeptAs = "square" | "cut_out"

/** Sends a photo, made smaller before. */
export async function sendPhoto(photo: Blob, as: KeptAs | undefined, onProgress: (progress: Progress) => void) {
  const { upload, parts } = await sendInParts(photo, onProgress)
  const params = { path: { upload } }
  return answered(await api.POST("/uploads/{upload}/picture", { params, body: { parts, ...(as && { [as]: true }) } }))
}

/** Tries again while no answer comes, or one that says to come again. */
async function trying<T>(pause: (milliseconds: number) => Promise<void>, ask: () => Promise<T>): Promise<T> {
  for (let tried = 1; ; tried++) {
    try {
      return await ask()
    } catch (error) {
      const status = (error as { status?: number }).status ?? 0
      if (tried >= TRIES || (status >= 400 && status < 500 && status !== 408)) throw error
      await pause(AFTER * tried)
    }
  }
}
