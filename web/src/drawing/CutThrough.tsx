import type { Drawing } from "../keep/client"

/** The cut across the band: the form, its hull, and the covering round it. Front is up. */
export function CutThrough({ drawing, girth, face }: { drawing: Drawing; girth: string; face: string }) {
  const { section } = drawing
  const [left = 0, top = 0, right = 1, bottom = 1] = section.bounds
  const width = right - left
  const letter = width / 24
  const edges = section.hull.filter((_, i) => i % 2 === 0)
  const [inner, outer] = [Math.min(...edges), Math.max(...edges)]
  const points = (numbers: number[]) => numbers.reduce((text, number, i) => text + number + (i % 2 ? " " : ","), "")
  const low = bottom + letter * 2.4
  const slash = (x: number) => `M${x - letter * 0.3} ${low + letter * 0.3} l${letter * 0.6} ${-letter * 0.6}`
  return (
    <svg
      viewBox={`${left - width * 0.2} ${top - letter * 4} ${width * 1.4} ${bottom - top + letter * 9}`}
      className="h-full w-full"
      role="img"
      aria-label={`Cut through the band: ${face} across, ${girth} around.`}
    >
      <g strokeWidth={letter * 0.09}>
        {section.covered && (
          <polygon points={points(section.covered)} fill="var(--color-accent)" stroke="var(--color-base-content)" />
        )}
        <polygon
          points={points(section.hull)}
          fill={section.solid ? `var(--${drawing.form.base})` : "var(--color-base-200)"}
          stroke="var(--wire)"
          strokeDasharray={section.solid ? undefined : `${letter * 0.5} ${letter * 0.35}`}
        />
        {section.rails.map((rail, index) => (
          <circle key={index} cx={rail[0]} cy={rail[1]} r={section.rail_radius} fill="var(--wire)" />
        ))}
      </g>
      <g fontSize={letter} fill="var(--color-base-content)" textAnchor="middle">
        <text x={(left + right) / 2} y={top - letter * 1.6} fill="var(--quiet)">
          front
        </text>
        <text x={left - letter * 0.6} y={letter * 0.3} textAnchor="end" fill="var(--quiet)">
          inside
        </text>
        <text x={right + letter * 0.6} y={letter * 0.3} textAnchor="start" fill="var(--quiet)">
          outside
        </text>
        <path
          d={`M${inner} ${low} H${outer} ${slash(inner)} ${slash(outer)}`}
          stroke="var(--color-base-content)"
          strokeWidth={letter * 0.09}
        />
        <text x={(left + right) / 2} y={low + letter * 1.6} fontWeight={700}>
          {face} across, {girth} around
        </text>
      </g>
    </svg>
  )
}
