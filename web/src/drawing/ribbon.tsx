/** Ribbon and cloth as they fold: a loop with an inside and an outside, a tail with a fall. */

type Point = readonly [number, number]

interface Props {
  from: Point
  to: Point
  width: number
  fill: string
  far?: boolean
}

const INK = "var(--ink)"

const placed = ([x, y]: Point, [tx, ty]: Point) =>
  `translate(${x} ${y}) rotate(${((Math.atan2(ty - y, tx - x) * 180) / Math.PI).toFixed(2)})`

/** A cubic curve to the last of three places, each along and across. */
const curve = (...places: [number, number][]) => "C" + places.map((place) => place.join(" ")).join(" ")

/** A loop from its foot, full at the tip: places are shares of its length and of half its width. */
const loopShape = (length: number, half: number) => {
  const to = (along: number, across: number): [number, number] => [length * along, half * across]
  return [
    "M0 0",
    curve(to(0.25, -0.5), to(0.55, -1), to(0.8, -0.95)),
    curve(to(1.06, -0.7), to(1.06, 0.7), to(0.8, 0.95)),
    curve(to(0.55, 1), to(0.25, 0.5), to(0, 0)),
    "Z",
  ].join(" ")
}

/** What is seen of its inside: the hollow behind the front leaf, away from the light. */
const hollow = (length: number, half: number, away: number) => {
  const to = (along: number, across: number): [number, number] => [length * along, away * half * across]
  return [
    `M${to(0.3, 0.34).join(" ")}`,
    curve(to(0.55, 0.86), to(0.8, 0.98), to(0.93, 0.52)),
    curve(to(0.8, 0.5), to(0.55, 0.42), to(0.3, 0.34)),
    "Z",
  ].join(" ")
}

/** Where the light lies on its rounded side. */
const shine = (length: number, half: number, lit: number) =>
  `M${length * 0.3} ${lit * half * 0.5} Q${length * 0.6} ${lit * half * 0.82} ${length * 0.84} ${lit * half * 0.62}`

/** A loop of ribbon: its outside, the hollow of its inside, and the folds at the pinch. */
export function Fold({ from, to, width, fill, lit, far }: Props & { lit: -1 | 1 }) {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  const half = Math.min(width / 2, length * 0.6)
  const shape = loopShape(length, half)
  return (
    <g transform={placed(from, to)}>
      <path d={shape} fill={fill} stroke={INK} strokeOpacity={0.7} strokeWidth={half * 0.06} strokeLinejoin="round" />
      {!far && (
        <>
          <path d={hollow(length, half, -lit)} fill={INK} fillOpacity={0.42} />
          <path
            d={`M${length * 0.06} 0 L${length * 0.34} ${lit * half * 0.3} M${length * 0.06} 0 L${length * 0.3} 0`}
            fill="none"
            stroke={INK}
            strokeOpacity={0.5}
            strokeWidth={half * 0.07}
            strokeLinecap="round"
          />
          <path
            d={shine(length, half, lit)}
            fill="none"
            stroke="white"
            strokeOpacity={0.35}
            strokeWidth={half * 0.14}
            strokeLinecap="round"
          />
        </>
      )}
    </g>
  )
}

/** A tail from its knot, falling in a slight wave, with a dovetail cut in its end. */
const tailShape = (length: number, half: number) => {
  const sway = Math.min(half * 0.3, length * 0.05)
  return [
    `M0 ${-half * 0.5}`,
    `C${length * 0.35} ${-half - sway} ${length * 0.65} ${-half + sway} ${length} ${-half}`,
    `L${length - half * 0.8} 0`,
    `L${length} ${half}`,
    `C${length * 0.65} ${half + sway} ${length * 0.35} ${half - sway} 0 ${half * 0.5} Z`,
  ].join(" ")
}

/** A tail of ribbon or cloth. */
export function Ribbon({ from, to, width, fill, far }: Props) {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  if (length < 1e-6) return null
  const half = width / 2
  return (
    <g transform={placed(from, to)}>
      <path
        d={tailShape(length, half)}
        fill={fill}
        stroke={INK}
        strokeOpacity={0.7}
        strokeWidth={width * 0.05}
        strokeLinejoin="round"
      />
      {!far && length > width * 1.2 && (
        <path
          d={`M${half * 0.4} 0 Q${length * 0.3} ${half * 0.35} ${length * 0.55} ${half * 0.1}`}
          fill="none"
          stroke={INK}
          strokeOpacity={0.35}
          strokeWidth={width * 0.05}
          strokeLinecap="round"
        />
      )}
    </g>
  )
}
