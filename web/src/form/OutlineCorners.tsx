import { useState } from "react"
import { api, saysOf } from "../keep/client"
import { Problem } from "../pieces/Problem"

type Points = number[][]
interface Outline {
  points: Points
  width: number
  height: number
}
interface Props {
  points: unknown
  problem?: string
  onChange: (points: unknown) => void
}

const outlinesSay = (count: number) => (count === 1 ? "one outline" : `${count} outlines, the largest taken`)

/** An outline of the maker's own: from an SVG file, or corner by corner. */
export function OutlineCorners({ points, problem, onChange }: Props) {
  const [found, setFound] = useState<Outline[]>([])
  const [says, setSays] = useState("")
  const [draft, setDraft] = useState<string>()
  const corners = Array.isArray(points) ? (points as unknown[][]) : []
  const bring = async (file: File | undefined) => {
    if (!file) return
    setSays("Reading…")
    const { data, error } = await api.POST("/ask/outlines", { body: { svg: await file.text() } })
    setFound(data && data.outlines.length > 1 ? data.outlines : [])
    setSays(data ? `${file.name}: ${outlinesSay(data.outlines.length)}.` : saysOf(error))
    if (data?.outlines[0]) onChange(data.outlines[0].points)
  }
  return (
    <div className="border-b border-base-300 py-2">
      <label className="flex flex-wrap items-center justify-between gap-2">
        Bring in an SVG drawing
        <input
          type="file"
          accept=".svg,image/svg+xml"
          className="file-input file-input-sm w-64"
          onChange={(event) => void bring(event.target.files?.[0])}
        />
      </label>
      <p className="text-sm text-quiet">
        Its line is the middle of the band. The width over all says how large it becomes.
      </p>
      {says && (
        <p role="status" className="text-sm">
          {says}
        </p>
      )}
      {found.length > 1 && (
        <ul className="flex flex-wrap gap-2 py-1" aria-label="Outlines in the file">
          {found.map((outline, index) => (
            <li key={index}>
              <button
                type="button"
                className="btn"
                aria-label={`Outline ${index + 1}`}
                onClick={() => onChange(outline.points)}
              >
                <svg viewBox="-40 -40 1080 1080" className="h-12 w-12">
                  <polygon
                    points={outline.points.map((point) => point.join(",")).join(" ")}
                    fill="none"
                    stroke="currentColor"
                    strokeWidth="30"
                    strokeLinejoin="round"
                  />
                </svg>
              </button>
            </li>
          ))}
        </ul>
      )}
      <details>
        <summary className="cursor-pointer py-2">
          {corners.length === 0 ? "Corner by corner" : `${corners.length} corners`}
        </summary>
        <label className="block text-sm text-quiet" htmlFor="form-corners">
          Across and down, one corner a line, in any measure
        </label>
        <textarea
          id="form-corners"
          rows={6}
          className="w-full rounded border border-base-content/45 bg-base-200 p-2 font-sans tabular-nums"
          value={draft ?? corners.map((corner) => corner.join(", ")).join("\n")}
          onFocus={(event) => setDraft(event.target.value)}
          onBlur={() => setDraft(undefined)}
          onChange={(event) => {
            setDraft(event.target.value)
            onChange(written(event.target.value))
          }}
        />
      </details>
      {problem && <Problem small>{problem}</Problem>}
    </div>
  )
}

/** Lines of numbers as corners; what is no number stays as it was written, for the core to say so. */
function written(text: string): unknown {
  const lines = text
    .split("\n")
    .map((line) => line.trim())
    .filter((line) => line !== "")
  if (lines.length === 0) return undefined
  return lines.map((line) =>
    line
      .split(/[,;\s]+/)
      .filter((each) => each !== "")
      .map((each) => (/^-?\d+(\.\d+)?$/.test(each) ? Number(each) : each)),
  )
}
