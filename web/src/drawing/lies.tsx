import type { Lie } from "../keep/client"
import { foldsAlong, foldsFromTies, litSideOf } from "./folds"
import { pathOf } from "./pathOf"
import { cord } from "./cord"
import { Fold, Ribbon } from "./ribbon"
import type { Fill } from "./fill"

/** One way of drawing for each kind of lie the core knows. */
interface Props {
  lie: Lie
  items: Lie["front"]
  fills: Fill[]
  /** Seen through the form, from the far side. */
  far?: boolean
}

const edge = "var(--ink)"

/** The fill of an item's material; of the first where there is none. */
const fillOf = (fills: Fill[], colour: number) => fills[colour] ?? fills[0]!

export function LieItems(props: Props) {
  const Items = ways[props.lie.kind]
  // A kind that nobody draws is a fault, not an empty drawing.
  if (!Items) throw new Error(`Nobody draws the kind of lie “${props.lie.kind}”.`)
  return Items(props)
}

/** Light comes from the upper left: on which side of a strip that runs at this angle it falls. */
const litSide = (angle: number): -1 | 1 => (Math.cos(angle) - Math.sin(angle) >= 0 ? -1 : 1)

// Cords and turns are many: each is one shape by its corners, with nothing of its own that style or layout would have
// to be worked out for when a size changes.
function Cords({ lie, items, fills }: Props) {
  const width = lie.width
  return (
    <g stroke={edge} strokeOpacity={0.75} strokeWidth={width * 0.06}>
      {items.map(({ points, colour }, index) => {
        const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = points
        const angle = Math.atan2(y2 - y1, x2 - x1)
        return <polygon key={index} points={cord(x1, y1, x2, y2, width)} fill={fillOf(fills, colour).along(angle)} />
      })}
    </g>
  )
}

function Bands({ lie, items, fills }: Props) {
  return (
    <g stroke={edge} strokeOpacity={0.7} strokeWidth={lie.width * 0.018} strokeLinejoin="round">
      {items.map(({ points, colour }, index) => {
        const reach = points.length - 4
        const angle = Math.atan2((points[reach / 2 + 1] ?? 0) - points[1]!, (points[reach / 2] ?? 0) - points[0]!)
        return <polygon key={index} points={points.join(" ")} fill={fillOf(fills, colour).along(angle)} />
      })}
    </g>
  )
}

function Knots({ lie, items, fills, far }: Props) {
  const width = lie.width
  return items.map(({ points, colour }, index) => {
    const [x = 0, y = 0, ...ends] = points
    const fill = fillOf(fills, colour)
    return (
      <g key={index}>
        {[ends.slice(0, 2), ends.slice(2, 4)].map(([ex = 0, ey = 0], side) => (
          <Ribbon key={side} from={[x, y]} to={[ex, ey]} width={width} fill={fill.along(0)} far={far} />
        ))}
        <circle
          cx={x}
          cy={y}
          r={width * 0.5}
          fill={fill.colour}
          stroke={edge}
          strokeOpacity={0.7}
          strokeWidth={width * 0.05}
        />
      </g>
    )
  })
}

function Lines({ lie, items, fills, far }: Props) {
  return items.map(({ points, colour }, index) => (
    <g key={index} fill="none" strokeLinejoin="round" strokeLinecap={lie.unit === "rounds" ? "round" : "butt"}>
      <path d={pathOf(points)} stroke={edge} strokeWidth={lie.width} strokeOpacity={0.75} />
      <path d={pathOf(points)} stroke={fillOf(fills, colour).colour} strokeWidth={lie.width * 0.9} />
      {!far && lie.unit !== "backs" && (
        <path
          d={pathOf(points)}
          stroke={edge}
          strokeWidth={lie.width * 0.9}
          strokeOpacity={0.28}
          strokeDasharray={`${lie.width * 0.08} ${lie.width * 0.34}`}
        />
      )}
    </g>
  ))
}

/** Loops from their feet to their tips. */
function Loops({ lie, items, fills, far }: Props) {
  return items.map(({ points, colour }, index) => {
    const [x = 0, y = 0, tx = 0, ty = 0] = points
    return (
      <Fold
        key={index}
        from={[x, y]}
        to={[tx, ty]}
        width={lie.width}
        fill={fillOf(fills, colour).along(0)}
        lit={litSide(Math.atan2(ty - y, tx - x))}
        far={far}
      />
    )
  })
}

function Discs({ lie, items, fills }: Props) {
  const radius = lie.width / 2
  return items.map(({ points, colour }, index) => (
    <g
      key={index}
      transform={`translate(${points[0]} ${points[1]})`}
      fill={fillOf(fills, colour).colour}
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

function Panels({ lie, items, fills }: Props) {
  return items.map(({ points, colour }, index) => (
    <path
      key={index}
      d={`${pathOf(points)}Z`}
      fill={fillOf(fills, colour).along(0)}
      stroke={edge}
      strokeOpacity={0.7}
      strokeWidth={Math.min(lie.width * 0.03, 0.05)}
      strokeLinejoin="round"
    />
  ))
}

/** A strip that was bunched in the hand: the folds run along it from end to end. */
function Gathered(props: Props) {
  return (
    <>
      {Bands(props)}
      {props.items.map(({ points }, index) => (
        <path key={`folds ${index}`} d={foldsAlong(points)} {...fold} strokeWidth={props.lie.width * 0.018} />
      ))}
    </>
  )
}

const fold = { fill: "none", stroke: edge, strokeOpacity: 0.4, strokeLinejoin: "round" } as const

/** A loop that stands up between two ties: gathered at both, its upper left in the light. */
function Cushions(props: Props) {
  return props.items.map((item, index) => (
    <g key={index}>
      {Panels({ ...props, items: [item] })}
      <path d={foldsFromTies(item.points)} {...fold} strokeWidth={0.05} />
      <path
        d={litSideOf(item.points)}
        fill="none"
        stroke="white"
        strokeOpacity={0.4}
        strokeWidth={0.1}
        strokeLinecap="round"
      />
    </g>
  ))
}

/** Tails of a bow, from the pinch to their ends. */
function Tails({ lie, items, fills, far }: Props) {
  return items.map(({ points, colour }, index) => {
    const [x = 0, y = 0, tx = 0, ty = 0] = points
    const fill = fillOf(fills, colour).along(0)
    return <Ribbon key={index} from={[x, y]} to={[tx, ty]} width={lie.width} fill={fill} far={far} />
  })
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
  tail: Tails,
  gathered: Gathered,
  cushion: Cushions,
  wash: Wash,
}
