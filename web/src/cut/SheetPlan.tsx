import type { CutBar } from "../keep/client"
import { fractionGlyphs } from "../drawing/fractions"
import { cutSays } from "./cutSays"

type Sheet = NonNullable<CutBar["sheet"]>
type Cut = CutBar["cuts"][number]

/** A sheet of cloth as it lies on the table, its length across the page, every strip where it is cut. */
export function SheetPlan({ bar, sheet, colour }: { bar: CutBar; sheet: Sheet; colour: string }) {
  const wide = Math.max(sheet.width, sheet.end_width)
  const letter = Math.max(sheet.length / 42, wide / 16)
  const inset = (width: number) => (wide - width) / 2
  const outline = [
    [0, inset(sheet.width)],
    [sheet.length, inset(sheet.end_width)],
    [sheet.length, wide - inset(sheet.end_width)],
    [0, wide - inset(sheet.width)],
  ]
  return (
    <svg
      className="my-2 block max-h-56 w-full"
      viewBox={[-letter * 4.6, -letter * 0.2, sheet.length + letter * 4.8, wide + letter * 1.9].join(" ")}
      role="img"
      aria-label={`A sheet of ${sheet.says}: ${bar.cuts.map(cutOnSheet).join(", ")}`}
    >
      <polygon
        points={outline.map((corner) => corner.join(",")).join(" ")}
        fill={colour}
        fillOpacity={0.28}
        stroke="var(--color-base-content)"
        strokeWidth={letter * 0.09}
      />
      {bar.cuts.map((cut, index) => (
        <Block key={index} cut={cut} letter={letter} />
      ))}
      <g fontSize={letter} fill="currentColor" textAnchor="middle">
        <text x={sheet.length / 2} y={wide + letter * 1.3}>
          {fractionGlyphs(sheet.length_says)}
        </text>
        <text x={-letter * 2.3} y={wide / 2 + letter * 0.35}>
          {fractionGlyphs(sheet.width_says)}
        </text>
      </g>
    </svg>
  )
}

const cutOnSheet = (cut: Cut) => `${cutSays(cut)}${cut.block?.bias ? " on the bias" : ""}`

function Block({ cut, letter }: { cut: Cut; letter: number }) {
  const block = cut.block
  if (!block) return null
  const [deep, across] = [block.length / block.rows, block.width / block.columns]
  const style = { fill: "var(--color-primary)", stroke: "var(--color-base-content)", strokeWidth: letter * 0.07 }
  if (block.bias) {
    // Strips lie askew at 45 degrees and are joined to one length.
    const step = (cut.width ?? 1) * Math.SQRT2
    const lines = Array.from({ length: Math.floor((block.length + block.width) / step) }, (_, i) => (i + 1) * step)
    return (
      <g>
        <rect x={block.y} y={block.x} width={block.length} height={block.width} {...style} />
        {lines.map((at) => {
          const from = Math.min(at, block.length)
          const to = Math.max(at - block.width, 0)
          return (
            <path
              key={at}
              d={`M${block.y + from} ${block.x + (at - from)} L${block.y + to} ${block.x + (at - to)}`}
              stroke="var(--color-base-content)"
              strokeWidth={letter * 0.07}
            />
          )
        })}
      </g>
    )
  }
  return Array.from({ length: Math.min(cut.count, block.columns * block.rows) }, (_, i) => (
    <rect
      key={i}
      x={block.y + Math.floor(i / block.columns) * deep}
      y={block.x + (i % block.columns) * across}
      width={deep}
      height={across}
      {...style}
    />
  ))
}
