import type { Drawing } from "../keep/client"

interface Props {
  drawing: Drawing
  /** The size or the string, by its place in the plan. */
  place: string
  letter: number
  mirrored: boolean
}

/** Where the tape or the string is laid to measure what the maker is asked for. */
export function TapeLaid({ drawing, place, letter, mirrored }: Props) {
  const { form, dimensions } = drawing
  const strings: Record<string, string> = {
    "form.measured.run": form.middle,
    "form.measured.inside_run": form.inside,
    "form.measured.outside_run": form.outside,
  }
  const size = dimensions.find((each) => each.about === (place === "form.measured.girth" ? "form.face" : place))
  const line =
    strings[place] ?? (size && (size.inset || size.across) && `M${size.from.join(" ")} L${size.to.join(" ")}`)
  if (!line) return null
  return (
    <g
      className="tape-laid"
      transform={mirrored ? "scale(-1 1)" : undefined}
      fill="none"
      strokeLinejoin="round"
      strokeLinecap="round"
      aria-hidden="true"
    >
      <path d={line} stroke="var(--color-base-content)" strokeWidth={letter * 0.62} />
      <path d={line} stroke="var(--color-primary)" strokeWidth={letter * 0.48} />
      <path
        d={line}
        stroke="var(--color-base-content)"
        strokeWidth={letter * 0.3}
        strokeLinecap="butt"
        strokeDasharray={`${letter * 0.05} ${letter * 0.55}`}
      />
    </g>
  )
}
