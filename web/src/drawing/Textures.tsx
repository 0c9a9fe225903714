import type { Material } from "../keep/client"

/** A material's own colour, or what its kind usually looks like. */
export function colourOf(material: Material | undefined): string {
  return material?.colour ?? `var(--${material?.kind ?? "unknown"}, var(--unknown))`
}

export const textureOf = (material: Material | undefined) =>
  material?.texture ?? (material?.kind === "rope" ? "twist" : "plain")

/** The marks of a texture on a strip `width` wide: twist of rope, weave, stripe, check, dot, lace, net. */
export function Texture({ id, texture, width }: { id: string; texture: string; width: number }) {
  const ink = { stroke: "var(--ink)", strokeOpacity: 0.42, strokeWidth: width * 0.06, fill: "none" }
  const eighth = width / 8
  const zigzag = [
    `M0 ${eighth} L${eighth} 0 L${2 * eighth} ${eighth}`,
    `M0 ${2 * eighth} L${eighth} ${eighth} L${2 * eighth} ${2 * eighth}`,
  ]
  const marks: Record<string, [number, React.ReactNode]> = {
    twist: [width * 0.62, <path d={`M0 ${width} L${width * 0.62} 0`} {...ink} strokeWidth={width * 0.1} />],
    herringbone: [width / 4, <path d={zigzag.join(" ")} {...ink} strokeWidth={width * 0.025} />],
    weave: [width / 5, <path d={`M0 ${width / 10} H${width / 5} M${width / 10} 0 V${width / 5}`} {...ink} />],
    check: [
      width / 2,
      <>
        <path d={`M0 0 H${width / 4} V${width / 4} H0 Z`} fill="var(--ink)" fillOpacity="0.3" />
        <path
          d={`M${width / 4} ${width / 4} H${width / 2} V${width / 2} H${width / 4} Z`}
          fill="var(--ink)"
          fillOpacity="0.18"
        />
      </>,
    ],
    stripe: [width / 3, <path d={`M0 ${width / 6} H${width / 3}`} {...ink} strokeWidth={width * 0.1} />],
    dot: [width / 3, <circle cx={width / 6} cy={width / 6} r={width * 0.06} fill="var(--ink)" fillOpacity="0.4" />],
    lace: [width / 3, <circle cx={width / 6} cy={width / 6} r={width * 0.11} {...ink} />],
    net: [width / 4, <path d={`M0 0 L${width / 4} ${width / 4} M${width / 4} 0 L0 ${width / 4}`} {...ink} />],
  }
  const mark = marks[texture]
  if (!mark) return null
  const [size, shape] = mark
  return (
    <pattern
      id={id}
      width={size}
      height={texture === "twist" ? width : size}
      y={-width / 2}
      patternUnits="userSpaceOnUse"
    >
      {shape}
    </pattern>
  )
}
