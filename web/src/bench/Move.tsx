import type { ReactNode } from "react"
import type { MoveKey } from "../keep/client"

const ink = {
  fill: "none",
  stroke: "var(--color-base-content)",
  strokeWidth: 2.2,
  strokeLinecap: "round",
  strokeLinejoin: "round",
} as const
const cord = {
  fill: "none",
  stroke: "var(--cord)",
  strokeWidth: 7,
  strokeLinecap: "round",
  strokeLinejoin: "round",
} as const
const soft = { fill: "var(--color-accent)", stroke: "var(--color-base-content)", strokeWidth: 2 } as const
const way = { fill: "none", stroke: "var(--color-primary)", strokeWidth: 3, strokeLinecap: "round" } as const
const band = <path d="M10 62 Q70 48 130 62" {...ink} strokeWidth={14} strokeOpacity={0.28} />
const arrow = (x: number, y: number, turn: number) => (
  <path key={`${x} ${y}`} d="M-7 -5 L0 0 L-7 5" transform={`translate(${x} ${y}) rotate(${turn})`} {...way} />
)
const coils = (count: number) =>
  Array.from({ length: count }, (_, i) => <path key={i} d={`M${26 + i * 11} 78 L${30 + i * 11} 34`} {...cord} />)

/** The hand's move of each step, drawn: the form as a pale band, the way of the hand in amber. */
const pictures: Record<MoveKey, ReactNode> = {
  own: (
    <>
      <path d="M36 22 H96 V78 H36 Z" {...ink} />
      <path d="M46 36 H86 M46 48 H86 M46 60 H70" {...ink} strokeOpacity={0.5} />
      <path d="M110 34 L88 70" {...way} />
      {arrow(88, 70, 120)}
    </>
  ),
  smooth: (
    <>
      {band}
      <path d="M30 40 L58 34 L64 46 L36 52 Z" {...soft} />
      <path d="M66 40 Q92 34 112 46" {...way} />
      {arrow(112, 46, 30)}
    </>
  ),
  tape_ends: (
    <>
      {band}
      <path d="M62 46 L84 46 L84 70 L62 70 Z" {...soft} />
      <path d="M92 40 q10 18 -6 34" {...way} />
      {arrow(86, 74, 130)}
    </>
  ),
  cut: (
    <>
      <path d="M14 44 H126" {...cord} />
      <path d="M14 62 H96" {...cord} />
      <path d="M96 30 V78" {...ink} strokeDasharray="4 4" />
      <path d="M104 86 L90 62 M90 86 L104 62" {...ink} />
    </>
  ),
  coil: (
    <>
      {band}
      {coils(5)}
      <path d="M84 86 Q104 96 100 40" {...way} />
      {arrow(100, 40, -95)}
    </>
  ),
  filler: (
    <>
      {band}
      {coils(3)}
      <path d="M72 40 L78 80" {...cord} stroke="var(--color-primary)" />
      {coils(0)}
      <path d="M84 78 L88 34 M95 78 L99 34" {...cord} />
      <path d="M72 22 L73 34" {...way} />
      {arrow(73, 36, 88)}
    </>
  ),
  wrap: (
    <>
      {band}
      {[0, 1, 2, 3].map((i) => (
        <path key={i} d={`M${20 + i * 20} 80 L${34 + i * 20} 36 L${58 + i * 20} 36 L${44 + i * 20} 80 Z`} {...soft} />
      ))}
      <path d="M112 84 Q126 64 116 38" {...way} />
      {arrow(116, 38, -110)}
    </>
  ),
  inlay: (
    <>
      {band}
      {coils(7)}
      <path d="M18 58 H52 M84 58 H112" stroke="var(--indigo)" strokeWidth={11} fill="none" />
      <path d="M52 58 Q66 74 84 58" {...way} />
    </>
  ),
  over_under: (
    <>
      <circle cx="36" cy="56" r="7" {...ink} />
      <circle cx="70" cy="56" r="7" {...ink} />
      <circle cx="104" cy="56" r="7" {...ink} />
      <path d="M14 66 Q26 38 36 42 T54 58 T70 70 T88 54 T104 42 T126 62" {...cord} strokeWidth={6} />
    </>
  ),
  knot: (
    <>
      {band}
      <path d="M58 58 Q70 40 82 58 Q70 72 58 58 Z" {...soft} />
      <path d="M62 54 L38 22 M78 54 L102 22" {...cord} stroke="var(--color-accent)" />
      <path d="M62 54 L38 22 M78 54 L102 22" {...ink} strokeDasharray="3 3" />
      <path d="M46 40 Q30 34 26 20" {...way} />
      {arrow(26, 20, -105)}
      <path d="M94 40 Q110 34 114 20" {...way} />
      {arrow(114, 20, -75)}
    </>
  ),
  zigzag: (
    <>
      <path d="M18 78 L42 30 L58 78 L78 30 L94 78 L118 30" {...cord} strokeWidth={9} stroke="var(--rust)" />
      <path d="M10 54 H128" {...way} strokeDasharray="5 4" />
    </>
  ),
  catch: (
    <>
      {band}
      <path d="M20 52 Q44 4 66 52 Q92 4 118 52" {...soft} />
      <path d="M60 50 l12 10 M72 50 l-12 10" {...ink} />
      <path d="M58 70 q8 10 16 0" {...way} />
      {arrow(75, 69, -50)}
    </>
  ),
  stretch: (
    <>
      <ellipse cx="70" cy="54" rx="42" ry="32" {...soft} />
      <path d="M70 54 H26 M70 54 H114 M70 54 V86" {...way} />
      {arrow(26, 54, 180)}
      {arrow(114, 54, 0)}
      {arrow(70, 86, 90)}
    </>
  ),
  rows: (
    <>
      <path d="M30 86 Q70 -10 110 86 Z" {...ink} />
      {[36, 50, 64, 78].map((y, i) => (
        <path key={y} d={`M${56 - i * 7} ${y} H${84 + i * 7}`} {...cord} />
      ))}
      <path d="M122 34 V78" {...way} />
      {arrow(122, 80, 90)}
    </>
  ),
  cone: (
    <>
      <path d="M24 30 H64 V70 H24 Z" {...soft} />
      <path d="M84 82 L104 26 Q118 22 126 34 Z" {...soft} />
      <path d="M66 40 Q82 26 94 40" {...way} />
      {arrow(95, 41, 50)}
    </>
  ),
  brush: (
    <>
      {band}
      <path d="M92 20 L72 44" {...cord} />
      <path d="M76 40 L60 60" {...ink} strokeWidth={10} />
      <path d="M34 62 Q60 54 100 60" {...way} strokeDasharray="2 6" />
    </>
  ),
  bloom: (
    <>
      <path d="M20 40 H120 M20 56 H120 M20 72 H120 M40 26 V86 M64 26 V86 M88 26 V86" {...ink} strokeOpacity={0.4} />
      <circle cx="64" cy="56" r="16" {...soft} />
      <circle cx="64" cy="56" r="5" fill="var(--color-primary)" />
      <path d="M64 8 V34" {...way} />
      {arrow(64, 36, 90)}
    </>
  ),
  pinch_and_twist: (
    <>
      <path d="M70 54 Q30 10 22 44 Q24 72 70 54 Q110 10 118 44 Q116 72 70 54" {...soft} />
      <path d="M70 54 L52 90 M70 54 L88 90" {...cord} stroke="var(--color-accent)" />
      <path d="M58 46 Q70 34 82 46" {...way} />
      {arrow(83, 47, 60)}
    </>
  ),
  two_loops: (
    <>
      <path d="M70 56 Q30 14 24 46 Q28 70 70 56 Z" {...soft} />
      <path d="M70 56 Q110 14 116 46 Q112 70 70 56 Z" {...soft} />
      <path d="M60 40 Q70 74 90 66" {...way} />
      {arrow(91, 66, -10)}
    </>
  ),
  crossed: (
    <>
      <path d="M40 92 Q112 34 70 18 Q28 34 100 92" {...cord} strokeWidth={10} stroke="var(--rust)" />
      <circle cx="70" cy="66" r="5" fill="var(--color-primary)" />
    </>
  ),
  tie_on: (
    <>
      {band}
      <circle cx="70" cy="40" r="16" {...soft} />
      <path d="M60 52 L54 84 Q70 94 86 84 L80 52" {...ink} />
      <path d="M62 88 q8 8 16 0" {...way} />
      {arrow(79, 87, -50)}
    </>
  ),
  tack: (
    <>
      {band}
      <path d="M92 16 L72 42" {...ink} strokeWidth={6} />
      <path d="M70 46 q5 8 0 11 q-5 -3 0 -11" fill="var(--color-primary)" />
    </>
  ),
  larks_head: (
    <>
      {band}
      <path d="M52 90 V40 Q52 22 70 22 Q88 22 88 40 V90" {...cord} />
      <path d="M60 26 V12 M80 26 V12" {...cord} />
      <path d="M70 96 V104" {...way} />
      <path d="M70 34 V8" {...way} />
      {arrow(70, 8, -90)}
    </>
  ),
  twist: (
    <>
      {band}
      <path d="M60 56 V24 Q70 8 80 24 V56" {...ink} strokeWidth={4} />
      <path d="M60 70 q10 10 20 0 q-10 -8 -20 2" {...ink} strokeWidth={4} />
      <path d="M92 76 Q104 64 94 52" {...way} />
      {arrow(94, 52, -120)}
    </>
  ),
  joined: (
    <>
      {band}
      <path d="M58 60 Q50 14 70 12 Q90 14 82 60" {...cord} />
      {[26, 32, 38].map((y) => (
        <path key={y} d={`M54 ${y} H86`} {...ink} />
      ))}
    </>
  ),
  loop_behind: (
    <>
      {band}
      <path d="M58 70 Q46 14 70 12 Q94 14 82 70" {...cord} stroke="var(--indigo)" />
      <path d="M48 64 H92 V80 H48 Z" {...soft} />
    </>
  ),
  press: (
    <>
      <ellipse cx="70" cy="60" rx="50" ry="22" {...soft} />
      <path d="M70 60 H30 M70 60 H110" {...way} />
      {arrow(30, 60, 180)}
      {arrow(110, 60, 0)}
    </>
  ),
  look: (
    <>
      <path d="M22 56 Q70 14 118 56 Q70 98 22 56 Z" {...ink} />
      <circle cx="70" cy="56" r="15" {...soft} />
      <circle cx="70" cy="56" r="5" fill="var(--color-base-content)" />
    </>
  ),
}

export function Move({ move, says }: { move: MoveKey; says: string }) {
  return (
    <figure className="flex items-center gap-4">
      <svg viewBox="0 0 140 108" className="h-24 w-32 shrink-0" role="img" aria-label={says}>
        {pictures[move]}
      </svg>
      <figcaption className="text-lg text-quiet">{says}</figcaption>
    </figure>
  )
}
