import { memo } from "react"
import { fractionGlyphs } from "../drawing/fractions"
import { shaded } from "../drawing/Textures"
import type { MoveFrame } from "../keep/client"
import { filled } from "./filled"

const PAINTS: Record<string, string> = {
  ink: "var(--color-base-content)",
  light: "white",
  paper: "var(--color-base-200)",
  form: "var(--foam)",
  wire: "var(--wire)",
  stem: "var(--indigo)",
  metal: "var(--metal)",
  hand: "var(--hand)",
  glue: "var(--glue)",
  way: "var(--color-primary)",
}
/** The step's materials, and what they look like where it has fewer. */
const MATERIALS = { first: "var(--ribbon)", second: "var(--indigo)", third: "var(--rust)" }

interface Props {
  frame: MoveFrame
  /** The step's own measures, by their keys. */
  measures?: Record<string, string>
  /** Of its materials. */
  colours: string[]
}

/** One small picture of a move, in the step's colours, its measures on it. */
export const FramePicture = memo(function FramePicture({ frame, measures, colours }: Props) {
  const paints = paintsOf(colours)
  return (
    <svg viewBox="0 0 160 120" className="w-full" aria-hidden="true">
      {frame.marks.map((mark, index) => (
        <path
          key={index}
          d={mark.path}
          fill={mark.fill ? paints[mark.fill] : "none"}
          stroke={mark.stroke && paints[mark.stroke]}
          strokeWidth={mark.width}
          opacity={mark.opacity}
          strokeLinecap={mark.cap}
          strokeLinejoin="round"
          strokeDasharray={mark.dash}
        />
      ))}
      {frame.labels.map(({ x, y, says, anchor }) => (
        <text
          key={`${x} ${y}`}
          x={x}
          y={y}
          textAnchor={anchor}
          className="fill-base-content stroke-base-200 text-[13px] font-bold [paint-order:stroke]"
          strokeWidth={3}
        >
          {fractionGlyphs(filled(says, measures))}
        </text>
      ))}
    </svg>
  )
})

function paintsOf(colours: string[]): Record<string, string> {
  const own = Object.entries(MATERIALS).map(([name, usual], index) => [name, colours[index] ?? usual] as const)
  return {
    ...PAINTS,
    ...Object.fromEntries(own),
    ...Object.fromEntries(own.map(([name, colour]) => [`${name}_shade`, shaded(colour)])),
  }
}
