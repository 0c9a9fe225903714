import { forgetAll } from "../keep/lately"

/** Into the application anew, as whoever has come in and into the workshop that they are in; nothing of before. */
export async function arrive() {
  await forgetAll().catch(() => undefined)
  window.location.assign("/")
}
