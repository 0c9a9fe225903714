import type { Drawing } from "../api/client"
import { fractionGlyphs } from "./fractions"

interface Props {
  drawing: Drawing
  /** The size of a letter, in the drawing's own units. */
  letter: number
}

/** Dimension lines as on a workshop drawing, with slashed ends. */
export function Dimensions({ drawing, letter }: Props) {
  const bottom = drawing.bounds[3] ?? 0
  return drawing.dimensions.map(({ from, to, says, inset, about }) => {
    const [x1 = 0, y1 = 0] = from
    const [x2 = 0, y2 = 0] = to
    if (x1 === x2) return <Upright key={about} x={(drawing.bounds[0] ?? 0) - letter * 2.4} from={y1} to={y2} text={fractionGlyphs(says)} letter={letter} />
    const y = inset ? y1 : bottom + letter * 1.7
    const middle = (x1 + x2) / 2
    const text = fractionGlyphs(says)
    const room = text.length * letter * 0.3 + letter * 0.35
    return (
      <g key={about} stroke="var(--color-base-content)" strokeWidth={letter * 0.07} fontSize={letter}>
        <path d={`M${x1} ${y} H${middle - room} M${middle + room} ${y} H${x2}`} />
        {[x1, x2].map((x) => <path key={x} d={`M${x - letter * 0.3} ${y + letter * 0.3} l${letter * 0.6} ${-letter * 0.6}`} strokeWidth={letter * 0.12} />)}
        {!inset && [x1, x2].map((x) => <path key={x} d={`M${x} ${y - letter * 0.9} v${letter * 1.3}`} strokeOpacity={0.5} strokeWidth={letter * 0.04} />)}
        <text x={middle} y={y + letter * 0.35} textAnchor="middle" stroke="none" fill="var(--color-base-content)" fontWeight={700}>{text}</text>
      </g>
    )
  })
}

/** A dimension line standing beside the form. */
function Upright({ x, from, to, text, letter }: { x: number; from: number; to: number; text: string; letter: number }) {
  const middle = (from + to) / 2
  return (
    <g stroke="var(--color-base-content)" strokeWidth={letter * 0.07} fontSize={letter}>
      <path d={`M${x} ${from} V${middle - letter * 0.9} M${x} ${middle + letter * 0.9} V${to}`} />
      {[from, to].map((y) => <path key={y} d={`M${x - letter * 0.3} ${y + letter * 0.3} l${letter * 0.6} ${-letter * 0.6}`} strokeWidth={letter * 0.12} />)}
      <text x={x} y={middle + letter * 0.35} textAnchor="middle" stroke="none" fill="var(--color-base-content)" fontWeight={700}>{text}</text>
    </g>
  )
}

/** Gaps where the form shows, with how wide they are. */
export function Gaps({ drawing, letter, mirrored }: Props & { mirrored: boolean }) {
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
        <text x={lx + (ux >= 0 ? 0.2 : -0.2) * letter} y={ly} textAnchor={ux >= 0 ? "start" : "end"} fill="var(--color-error)" fontWeight={700}>{fractionGlyphs(says)}</text>
      </g>
    )
  })
}
