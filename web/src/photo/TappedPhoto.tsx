import { pictureAt } from "../drawing/Textures"
import { Cross } from "./Cross"
import type { Place, Taps } from "./taps"
import { useCross } from "./useCross"

interface Props {
  picture: { id: string; width: number; height: number }
  taps: Taps
  /** The target that is being tapped. */
  target: string
  /** Where the sheet's corners were found to be. */
  found?: number[][]
  onTap: (place: Place) => void
}

const CORNER = "pointer-events-none absolute top-2 h-32 w-32 rounded-full border-2 border-base-content bg-base-100"
/** How many times the loupe enlarges. */
const LOUPE = 4

/** A photo that is tapped on, with a loupe at its corner: by finger, or with the arrow keys and Enter. */
export function TappedPhoto({ picture, taps, target, found, onTap }: Props) {
  const { width, height } = picture
  const { at, frame } = useCross(picture, onTap)
  const dot = Math.max(width, height) / 140
  return (
    <div className="relative">
      <svg
        {...frame}
        className="tapped-photo max-h-[70vh] w-full cursor-crosshair touch-manipulation"
        style={{ aspectRatio: `${width} / ${height}` }}
        aria-label="The photo: the arrow keys move the cross, with Shift by a hair; Enter taps"
      >
        <image href={pictureAt(picture.id)} width={width} height={height} />
        <Marks taps={taps} target={target} dot={dot} />
        {found && (
          <polygon
            points={found.map((corner) => corner.join(",")).join(" ")}
            fill="none"
            stroke="var(--color-secondary)"
            strokeWidth={dot * 0.5}
            strokeDasharray={`${dot} ${dot}`}
          />
        )}
        {at && <Cross at={at} size={dot * 4} />}
      </svg>
      {at && (
        <svg
          aria-hidden="true"
          className={`${CORNER} ${at[0] < width / 2 ? "right-2" : "left-2"}`}
          viewBox={[at[0] - width / LOUPE / 8, at[1] - width / LOUPE / 8, width / LOUPE / 4, width / LOUPE / 4].join(
            " ",
          )}
        >
          <image href={pictureAt(picture.id)} width={width} height={height} />
          <Cross at={at} size={width / LOUPE / 16} />
        </svg>
      )}
    </div>
  )
}

/** What was tapped, target by target; the one that is being tapped stands out. */
function Marks({ taps, target, dot }: { taps: Taps; target: string; dot: number }) {
  return Object.entries(taps).map(([name, places]) => (
    <g key={name} opacity={name === target ? 1 : 0.55} pointerEvents="none">
      {places.length > 1 && (
        <polyline
          points={places.map((each) => each.join(",")).join(" ")}
          fill="none"
          stroke="var(--color-primary)"
          strokeWidth={dot * 0.4}
        />
      )}
      {places.map(([x, y], i) => (
        <circle
          key={i}
          cx={x}
          cy={y}
          r={dot}
          fill="none"
          stroke={name === target ? "var(--color-error)" : "var(--color-primary)"}
          strokeWidth={dot * 0.45}
        />
      ))}
    </g>
  ))
}
