import { isBusy, Refusal } from "./client"

/** As often it is asked again while the server is busy, a little later each time. */
const WHILE_BUSY = 12

/** What was refused in words is not asked a second time; what was only too much at once is, until it has its turn. */
export const again = (times: number, error: Error) =>
  isBusy(error) ? times < WHILE_BUSY : times < 1 && !(error instanceof Refusal && error.status === 422)

/** Milliseconds until then, so that not everybody comes back at once. */
export const later = (times: number, error: Error) =>
  isBusy(error) ? 150 * (times + 1) * (0.5 + Math.random()) : 1000
