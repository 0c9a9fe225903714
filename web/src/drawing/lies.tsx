import type { Lie } from "../keep/client"

/** One way of drawing for each kind of lie the core knows. */
interface Props {
  lie: Lie
  items: Lie["front"]
  fills: string[]
  textures: (string | undefined)[]
  /** Seen through the form, from the far side. */
  far?: boolean
  /** Told apart from the rest of its layer. */
  marked?: boolean
}

const edge = "var(--ink)"

export function LieItems(props: Props) {
  const Items = ways[props.lie.kind]
  // A kind that nobody draws is a fault, not an empty drawing.
  if (!Items) throw new Error(`Nobody draws the kind of lie “${props.lie.kind}”.`)
  return Items(props)
}

function Cords({ lie, items, fills, textures, far, marked }: Props) {
  const width = lie.width
  return items.map(({ points, colour }, index) => {
    const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = points
    const length = Math.hypot(x2 - x1, y2 - y1)
    const turn = (Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI
    const body = { x: -width * 0.4, y: -width / 2, width: length + width * 0.8, height: width, rx: width / 2 }
    return (
      <g key={index} transform={`translate(${x1} ${y1}) rotate(${turn.toFixed(2)})`}>
        <rect
          {...body}
          fill={marked ? "var(--color-primary)" : fills[colour]}
          stroke={edge}
          strokeOpacity={0.75}
          strokeWidth={width * 0.06}
        />
        {textures[colour] && <rect {...body} fill={`url(#${textures[colour]})`} />}
        {far && <rect {...body} fill="var(--ink)" fillOpacity={0.35} />}
      </g>
    )
  })
}

function Bands({ lie, items, fills, textures, far }: Props) {
  return items.map(({ points, colour }, index) => {
    const count = points.length / 2
    const [x = 0, y = 0] = points
    const reach = count - 2
    const turn = Math.atan2((points[reach + 1] ?? 0) - y, (points[reach] ?? 0) - x)
    const local = Array.from({ length: count }, (_, i) => {
      const [dx, dy] = [(points[2 * i] ?? 0) - x, (points[2 * i + 1] ?? 0) - y]
      const [along, across] = [dx * Math.cos(turn) + dy * Math.sin(turn), dy * Math.cos(turn) - dx * Math.sin(turn)]
      return `${along.toFixed(3)},${across.toFixed(3)}`
    }).join(" ")
    return (
      <g key={index} transform={`translate(${x} ${y}) rotate(${((turn * 180) / Math.PI).toFixed(2)})`}>
        <polygon
          points={local}
          fill={fills[colour]}
          stroke={edge}
          strokeOpacity={0.7}
          strokeWidth={lie.width * 0.018}
          strokeLinejoin="round"
        />
        {textures[colour] && <polygon points={local} fill={`url(#${textures[colour]})`} />}
        {far && <polygon points={local} fill="var(--ink)" fillOpacity={0.35} />}
      </g>
    )
  })
}

function Knots({ lie, items, fills, textures, far }: Props) {
  const width = lie.width
  return items.map(({ points, colour }, index) => {
    const [x = 0, y = 0, ...ends] = points
    const tails = [ends.slice(0, 2), ends.slice(2, 4)]
    return (
      <g key={index} fill={fills[colour]} stroke={edge} strokeOpacity={0.7} strokeWidth={width * 0.05}>
        {tails.map(([ex = 0, ey = 0], side) => {
          const length = Math.hypot(ex - x, ey - y)
          if (length < 1e-6) return null
          const turn = (Math.atan2(ey - y, ex - x) * 180) / Math.PI
          const half = width / 2
          const shape = tailShape(length, half)
          return (
            <g key={side} transform={`translate(${x} ${y}) rotate(${turn.toFixed(2)})`}>
              <path d={shape} strokeLinejoin="round" />
              {textures[colour] && <path d={shape} fill={`url(#${textures[colour]})`} stroke="none" />}
            </g>
          )
        })}
        <circle cx={x} cy={y} r={width * 0.5} />
        {far && <circle cx={x} cy={y} r={width * 0.5} fill="var(--ink)" fillOpacity={0.35} stroke="none" />}
      </g>
    )
  })
}

/** A tail from its knot, with a dovetail cut in its end. */
const tailShape = (length: number, half: number) =>
  [
    `M0 ${-half * 0.5}`,
    `L${length} ${-half}`,
    `L${length - half * 0.8} 0`,
    `L${length} ${half}`,
    `L0 ${half * 0.5} Z`,
  ].join(" ")

/** A loop from its foot, full at the tip. */
const loopShape = (length: number, half: number) =>
  [
    `M0 0 C${length * 0.25} ${-half * 0.5} ${length * 0.55} ${-half} ${length * 0.8} ${-half * 0.95}`,
    `C${length * 1.06} ${-half * 0.7} ${length * 1.06} ${half * 0.7} ${length * 0.8} ${half * 0.95}`,
    `C${length * 0.55} ${half} ${length * 0.25} ${half * 0.5} 0 0 Z`,
  ].join(" ")

const pathOf = (points: number[]) =>
  points.reduce((path, number, i) => path + (i % 2 ? " " : i === 0 ? "M" : "L") + number, "")

function Lines({ lie, items, fills, far }: Props) {
  return items.map(({ points, colour }, index) => (
    <g key={index} fill="none" strokeLinejoin="round" strokeLinecap={lie.unit === "rounds" ? "round" : "butt"}>
      <path d={pathOf(points)} stroke={edge} strokeWidth={lie.width} strokeOpacity={0.75} />
      <path d={pathOf(points)} stroke={fills[colour]} strokeWidth={lie.width * 0.9} />
      {(far || lie.unit !== "backs") && (
        <path
          d={pathOf(points)}
          stroke={edge}
          strokeWidth={lie.width * 0.9}
          strokeOpacity={far ? 0.35 : 0.28}
          strokeDasharray={far ? undefined : `${lie.width * 0.08} ${lie.width * 0.34}`}
        />
      )}
    </g>
  ))
}

/** A loop from its foot to its tip, full at the tip. */
function Loops({ lie, items, fills, textures, far }: Props) {
  return items.map(({ points, colour }, index) => {
    const [x = 0, y = 0, tx = 0, ty = 0] = points
    const length = Math.hypot(tx - x, ty - y)
    const half = Math.min(lie.width / 2, length * 0.6)
    const turn = (Math.atan2(ty - y, tx - x) * 180) / Math.PI
    const shape = loopShape(length, half)
    return (
      <g key={index} transform={`translate(${x} ${y}) rotate(${turn.toFixed(2)})`}>
        <path
          d={shape}
          fill={fills[colour]}
          stroke={edge}
          strokeOpacity={0.7}
          strokeWidth={half * 0.06}
          strokeLinejoin="round"
        />
        {textures[colour] && <path d={shape} fill={`url(#${textures[colour]})`} />}
        <path
          d={`M${length * 0.12} 0 Q${length * 0.5} ${half * 0.18} ${length * 0.82} 0`}
          fill="none"
          stroke={edge}
          strokeOpacity={0.45}
          strokeWidth={half * 0.07}
        />
        {far && <path d={shape} fill="var(--ink)" fillOpacity={0.35} />}
      </g>
    )
  })
}

function Discs({ lie, items, fills }: Props) {
  const radius = lie.width / 2
  return items.map(({ points, colour }, index) => (
    <g
      key={index}
      transform={`translate(${points[0]} ${points[1]})`}
      fill={fills[colour]}
      stroke={edge}
      strokeOpacity={0.6}
      strokeWidth={radius * 0.05}
    >
      <circle r={radius} fillOpacity={0.35} />
      {[0, 72, 144, 216, 288].map((turn) => (
        <ellipse
          key={turn}
          transform={`rotate(${turn + index * 25})`}
          cy={-radius * 0.52}
          rx={radius * 0.38}
          ry={radius * 0.44}
        />
      ))}
      <circle r={radius * 0.2} fill="var(--color-primary)" />
    </g>
  ))
}

function Panels({ lie, items, fills, textures }: Props) {
  return items.map(({ points, colour }, index) => (
    <g key={index} strokeLinejoin="round">
      <path
        d={`${pathOf(points)}Z`}
        fill={fills[colour]}
        stroke={edge}
        strokeOpacity={0.7}
        strokeWidth={Math.min(lie.width * 0.03, 0.05)}
      />
      {textures[colour] && <path d={`${pathOf(points)}Z`} fill={`url(#${textures[colour]})`} />}
    </g>
  ))
}

/** A colour on the form itself is drawn with the form. */
const Wash = () => null

const ways: Record<Lie["kind"], (props: Props) => React.ReactNode> = {
  cord: Cords,
  band: Bands,
  knot: Knots,
  line: Lines,
  loop: Loops,
  disc: Discs,
  panel: Panels,
  wash: Wash,
}
