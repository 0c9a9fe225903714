import type { CutBar, Material } from "../keep/client"
import { colourOf } from "../drawing/Textures"
import { Prose } from "../pieces/Prose"
import { alike, cutSays } from "./cutSays"
import { SheetPlan } from "./SheetPlan"

interface Props {
  bar: CutBar
  longest: number
  material?: Material
  ticked?: boolean
  onTick?: (made: boolean) => void
}

/** One length or sheet opened, to scale, its cuts in order; to be ticked when it is cut. */
export function CutLength({ bar, longest, material, ticked, onTick }: Props) {
  return (
    <li className={`border-b border-base-300 py-2 ${ticked ? "line-through decoration-1" : ""}`}>
      <p className="flex items-center gap-3 text-sm">
        {onTick && (
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={ticked}
            onChange={(event) => onTick(event.target.checked)}
            aria-label={`Cut: ${bar.from}, ${bar.sheet?.says ?? bar.says}`}
          />
        )}
        <span className="font-semibold first-letter:uppercase">
          <Prose>{`${bar.from}, ${bar.sheet?.says ?? bar.says}${bar.times > 1 ? " each, all alike" : ""}`}</Prose>
        </span>
        <span className="ml-auto text-quiet">
          <Prose>{left(bar)}</Prose>
        </span>
      </p>
      {bar.sheet ? (
        <SheetPlan bar={bar} sheet={bar.sheet} colour={colourOf(material)} />
      ) : (
        <LengthPlan bar={bar} longest={longest} colour={colourOf(material)} />
      )}
      <p>
        {alike(bar.cuts).map((cut, i) => (
          <span key={i}>
            {i > 0 && "; "}
            <Prose>{cutSays(cut)}</Prose>
          </span>
        ))}
      </p>
    </li>
  )
}

function left(bar: CutBar): string {
  if (bar.sheet) return bar.sheet.rest.length > 0 ? `keep ${bar.sheet.rest.join(", ")}` : "no piece left to keep"
  return bar.left > 0 ? `${bar.left_says} left${bar.keep ? ", keep it" : ", scrap"}` : "used up"
}

function LengthPlan({ bar, longest, colour }: { bar: CutBar; longest: number; colour: string }) {
  return (
    <svg
      className="my-1 block h-5 w-full"
      viewBox={`0 0 ${longest} 10`}
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <rect
        width={bar.length}
        height="10"
        fill="none"
        stroke="var(--color-base-content)"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
      {bar.cuts.flatMap((cut) =>
        Array.from({ length: cut.count }, (_, i) => (
          <rect
            key={`${cut.at}.${i}`}
            x={cut.at + i * cut.length}
            width={cut.length}
            height="10"
            fill={cut.shape === "pieces" ? "var(--color-primary)" : colour}
            stroke="var(--color-base-content)"
            strokeWidth="1"
            vectorEffect="non-scaling-stroke"
          />
        )),
      )}
    </svg>
  )
}
