import { EDGE_OPACITY, paintedWith } from "./fill"
import type { Printed } from "./print"

/** The paths of printed marks. Those of the stuff itself are painted with what they were printed with. */
export function Marks({ printed, width }: { printed: Printed[]; width: number }) {
  const half = width / 2
  return printed.map(({ mark, paint, path }, index) => {
    const painted = paintedWith(paint)
    if (mark.shape === "area") {
      return (
        <path
          key={index}
          d={path}
          fill={painted}
          fillOpacity={mark.opacity}
          stroke={mark.edge === undefined ? "none" : "var(--ink)"}
          strokeOpacity={EDGE_OPACITY}
          strokeWidth={half * (mark.edge ?? 0)}
          strokeLinejoin="round"
        />
      )
    }
    return (
      <path
        key={index}
        d={path}
        fill="none"
        stroke={painted}
        strokeOpacity={mark.opacity}
        strokeWidth={half * (mark.width ?? 0)}
        strokeLinejoin="round"
        strokeLinecap={mark.path ? "round" : "butt"}
      />
    )
  })
}
