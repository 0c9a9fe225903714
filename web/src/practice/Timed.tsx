import { useEffect, useState } from "react"

interface Props {
  /** So many are made. */
  some: number
  one: string
  many: string
  /** Told how long one took, when all are made. */
  onSeconds: (seconds: number) => void
}

/** A few against the clock: begun by a press, and one more at every other one. */
export function Timed({ some, one, many, onSeconds }: Props) {
  const [begun, setBegun] = useState<number>()
  const [done, setDone] = useState(0)
  const [passed, setPassed] = useState(0)
  useEffect(() => {
    if (begun === undefined) return
    const timer = setInterval(() => setPassed((performance.now() - begun) / 1000), 250)
    return () => clearInterval(timer)
  }, [begun])
  const press = () => {
    if (begun === undefined) {
      setPassed(0)
      setDone(0)
      return setBegun(performance.now())
    }
    if (done + 1 < some) return setDone(done + 1)
    onSeconds((performance.now() - begun) / 1000 / some)
    setDone(some)
    setBegun(undefined)
  }
  const running = begun !== undefined
  return (
    <div className="flex flex-wrap items-center gap-4 py-2">
      <button type="button" className={`btn btn-lg min-w-48 ${running ? "btn-primary" : ""}`} onClick={press}>
        {running ? `One ${one} done` : some === 1 ? `Time one ${one}` : `Time ${some} ${many}`}
      </button>
      <span className="text-2xl tabular-nums" role="timer" aria-label="Made, and seconds">
        {done} of {some} · {Math.floor(passed)} s
      </span>
      {running && (
        <button type="button" className="btn" onClick={() => setBegun(undefined)}>
          Stop
        </button>
      )}
    </div>
  )
}
