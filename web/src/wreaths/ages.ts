const HOUR = 3_600_000
const DAY = 24 * HOUR

const counted = (count: number, one: string) => (count === 1 ? `one ${one}` : `${count} ${one}s`)

/** How old something is, in words. */
export function ageSays(at: string, now = Date.now()): string {
  const age = Math.max(0, now - Date.parse(at))
  if (age < HOUR) return "less than an hour"
  if (age < 2 * DAY) return counted(Math.floor(age / HOUR), "hour")
  return counted(Math.floor(age / DAY), "day")
}

/** How large a file is, in words. */
export const sizeSays = (bytes: number) =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`
