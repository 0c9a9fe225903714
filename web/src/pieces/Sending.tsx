import type { Progress } from "../keep/upload"

const kilobytes = (bytes: number) => Math.ceil(bytes / 1000)

/** How much of something has been sent. */
export function Sending({ what, progress }: { what: string; progress: Progress | undefined }) {
  const { sent, of } = progress ?? { sent: 0, of: 0 }
  return (
    <span role="status" className="inline-flex flex-wrap items-center gap-2">
      {progress ? `Sending ${what}: ${kilobytes(sent)} of ${kilobytes(of)} kB` : `Reading ${what}…`}
      {progress && <progress className="progress w-40" aria-label={`${what}, sent`} value={sent} max={of} />}
    </span>
  )
}
