import type { ReactNode } from "react"
import type { Drawing } from "../keep/client"
import { fractionGlyphs } from "./fractions"
import type { Sizing } from "./byHand"

interface Props {
  drawing: Drawing
  /** The size of a letter, in the drawing's own units. */
  letter: number
  mirrored: boolean
}

interface SizedProps extends Props {
  /** When sizes may be typed on their lines. */
  sizing?: Sizing
  onType: (about: string, place: DOMRect) => void
}

type Dimension = Drawing["dimensions"][number]

/** Dimension lines as on a workshop drawing, with slashed ends. */
export function Dimensions({ drawing, letter, sizing, onType, mirrored }: SizedProps) {
  const bottom = drawing.bounds[3] ?? 0
  return drawing.dimensions.map((dimension) => {
    const { from, to, inset, about, across } = dimension
    if (across && !sizing) return null
    const said = <Said dimension={dimension} sizing={sizing} onType={onType} />
    const [x1 = 0, y1 = 0] = from
    const [x2 = 0, y2 = 0] = to
    const mark = sizing?.measuring === about ? "var(--color-primary)" : "var(--color-base-content)"
    const text = fractionGlyphs(dimension.says)
    const drawn = { letter, mark, text, said }
    if (across)
      return <Across key={about} x1={mirrored ? -x1 : x1} y1={y1} x2={mirrored ? -x2 : x2} y2={y2} {...drawn} />
    if (x1 === x2)
      return <Upright key={about} x={(drawing.bounds[0] ?? 0) - letter * 2.4} from={y1} to={y2} {...drawn} />
    return <Level key={about} y={inset ? y1 : bottom + letter * 1.7} from={x1} to={x2} inset={inset} {...drawn} />
  })
}

/** What a dimension says; where it is one of the maker's own sizes, it can be typed there. */
function Said({
  dimension,
  sizing,
  onType,
}: {
  dimension: Dimension
  sizing?: Sizing
  onType: SizedProps["onType"]
}) {
  const text = fractionGlyphs(dimension.says)
  const label = sizing?.labels[dimension.about]
  if (!label || dimension.follows) return <tspan>{text}</tspan>
  const type = (element: Element) => onType(dimension.about, element.getBoundingClientRect())
  return (
    <tspan
      role="button"
      tabIndex={0}
      aria-label={`${label}: ${text}. Change it here`}
      className="cursor-text underline decoration-dotted underline-offset-[0.2em]"
      onClick={(event) => type(event.currentTarget.closest("text")!)}
      onKeyDown={(event) => {
        if (event.key === "Enter" || event.key === " ") {
          event.preventDefault()
          type(event.currentTarget.closest("text")!)
        }
      }}
    >
      {text}
    </tspan>
  )
}

interface Drawn {
  letter: number
  mark: string
  text: string
  said: ReactNode
}

const slash = (x: number, y: number, letter: number) => (
  <path
    key={`${x} ${y}`}
    d={`M${x - letter * 0.3} ${y + letter * 0.3} l${letter * 0.6} ${-letter * 0.6}`}
    strokeWidth={letter * 0.12}
  />
)

/** What a dimension line says, in the gap in its middle. */
function Size({ x, y, letter, children }: { x: number; y: number; letter: number; children: ReactNode }) {
  return (
    <text
      x={x}
      y={y + letter * 0.35}
      textAnchor="middle"
      stroke="none"
      fill="var(--color-base-content)"
      fontWeight={700}
    >
      {children}
    </text>
  )
}

/** A dimension line lying under the form, or within its opening. */
function Level({
  y,
  from,
  to,
  inset,
  letter,
  mark,
  text,
  said,
}: Drawn & { y: number; from: number; to: number; inset: boolean }) {
  const middle = (from + to) / 2
  const room = text.length * letter * 0.3 + letter * 0.35
  return (
    <g stroke={mark} strokeWidth={letter * 0.07} fontSize={letter}>
      <path d={`M${from} ${y} H${middle - room} M${middle + room} ${y} H${to}`} />
      {slash(from, y, letter)}
      {slash(to, y, letter)}
      {!inset &&
        [from, to].map((x) => (
          <path
            key={x}
            d={`M${x} ${y - letter * 0.9} v${letter * 1.3}`}
            strokeOpacity={0.5}
            strokeWidth={letter * 0.04}
          />
        ))}
      <Size x={middle} y={y} letter={letter}>
        {said}
      </Size>
    </g>
  )
}

/** A dimension line standing beside the form. */
function Upright({ x, from, to, letter, mark, said }: Drawn & { x: number; from: number; to: number }) {
  const middle = (from + to) / 2
  return (
    <g stroke={mark} strokeWidth={letter * 0.07} fontSize={letter}>
      <path d={`M${x} ${from} V${middle - letter * 0.9} M${x} ${middle + letter * 0.9} V${to}`} />
      {slash(x, from, letter)}
      {slash(x, to, letter)}
      <Size x={x} y={middle} letter={letter}>
        {said}
      </Size>
    </g>
  )
}

/** A dimension laid across the band, said beyond its outside edge. */
function Across({ x1, y1, x2, y2, letter, mark, said }: Drawn & { x1: number; y1: number; x2: number; y2: number }) {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length]
  const [ex, ey] = [x2 + ux * letter * 1.1, y2 + uy * letter * 1.1]
  return (
    <g stroke={mark} strokeWidth={letter * 0.09} fontSize={letter}>
      <path d={`M${x1} ${y1} L${ex} ${ey}`} />
      {slash(x1, y1, letter)}
      {slash(x2, y2, letter)}
      <text
        x={ex + ux * letter * 0.3}
        y={ey + letter * (uy < -0.3 ? -0.1 : uy > 0.3 ? 0.8 : 0.35)}
        textAnchor={ux > 0.3 ? "start" : ux < -0.3 ? "end" : "middle"}
        stroke="none"
        fill="var(--color-base-content)"
        fontWeight={700}
      >
        {said}
      </text>
    </g>
  )
}

/** Gaps where the form shows, with how wide they are. */
export function Gaps({ drawing, letter, mirrored }: Props) {
  return drawing.gaps.map(({ from, to, says }, index) => {
    const side = mirrored ? -1 : 1
    const x = (side * ((from[0] ?? 0) + (to[0] ?? 0))) / 2
    const y = ((from[1] ?? 0) + (to[1] ?? 0)) / 2
    const reach = Math.hypot(x, y) || 1
    const [ux, uy] = [x / reach, y / reach]
    const [lx, ly] = [x + ux * letter * 2.4, y + uy * letter * 2.4 - letter * 0.6]
    return (
      <g key={index} fontSize={letter} className="gap-mark">
        <path d={`M${x} ${y} L${lx} ${ly}`} stroke="var(--color-error)" strokeWidth={letter * 0.08} />
        <circle cx={x} cy={y} r={letter * 0.16} fill="var(--color-error)" />
        <text
          x={lx + (ux >= 0 ? 0.2 : -0.2) * letter}
          y={ly}
          textAnchor={ux >= 0 ? "start" : "end"}
          fill="var(--color-error)"
          stroke="var(--color-base-200)"
          strokeWidth={letter * 0.28}
          paintOrder="stroke"
          fontWeight={700}
        >
          {fractionGlyphs(says)}
        </text>
      </g>
    )
  })
}
