import { Swatch } from "../drawing/Swatch"
import { colourOf } from "../drawing/Textures"
import type { StashMaterial } from "../keep/client"
import { Prose } from "../pieces/Prose"
import { onHandSays, sheetsOf, soldSays, type Sheet } from "./onHand"

interface Props {
  stashed: StashMaterial
  /** The longest length of its kind, to which all are drawn to scale. */
  longest: number
  onOpen: () => void
  onLedger: () => void
}

/** One material of the stash: what it is, how it is sold, and what of it is on hand, to scale. */
export function StashRow({ stashed, longest, onOpen, onLedger }: Props) {
  const { material, pieces } = stashed
  const sheets = sheetsOf(stashed)
  return (
    <li className="stash-row">
      <Swatch material={material} />
      <div>
        <h3 className="text-base">{material.name}</h3>
        {stashed.problem ? (
          <p className="text-sm font-semibold text-error">{stashed.problem}</p>
        ) : (
          <p className="text-sm text-quiet">
            <Prose>{soldSays(stashed)}</Prose>
          </p>
        )}
      </div>
      <div>
        {pieces.length > 0 && <Lengths stashed={stashed} longest={longest} />}
        {sheets.length > 0 && <Sheets sheets={sheets} colour={colourOf(material)} />}
        <p className="text-sm">
          <Prose>{onHandSays(stashed)}</Prose>
        </p>
      </div>
      <span className="flex gap-2">
        <button type="button" className="btn" onClick={onLedger} aria-label={`Where it went: ${material.name}`}>
          Where it went
        </button>
        <button type="button" className="btn" onClick={onOpen} aria-label={`Change ${material.name}`}>
          Change
        </button>
      </span>
    </li>
  )
}

const THICK = 7
const APART = 9

/** Lengths on hand, one under the other. */
function Lengths({ stashed, longest }: { stashed: StashMaterial; longest: number }) {
  const high = stashed.pieces.length * APART + 2
  return (
    <svg
      className="block w-full"
      style={{ height: high }}
      preserveAspectRatio="none"
      viewBox={`0 0 ${longest} ${high}`}
      role="img"
      aria-label={onHandSays(stashed)}
    >
      {stashed.pieces.map((piece, index) => (
        <rect
          key={index}
          y={index * APART + 1}
          width={piece}
          height={THICK}
          fill={colourOf(stashed.material)}
          stroke="var(--color-base-content)"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  )
}

/** Pieces of cloth side by side, each with its length upright. */
function Sheets({ sheets, colour }: { sheets: Sheet[]; colour: string }) {
  const high = Math.max(...sheets.map((sheet) => sheet.length))
  const widest = (sheet: Sheet) => Math.max(sheet.width, sheet.end_width ?? 0)
  const left = (index: number) => sheets.slice(0, index).reduce((sum, sheet) => sum + widest(sheet) + high * 0.12, 0)
  const wide = left(sheets.length) - high * 0.12
  return (
    <svg
      className="block max-w-full"
      style={{ height: 44 }}
      viewBox={`-0.5 -0.5 ${wide + 1} ${high + 1}`}
      aria-hidden="true"
    >
      {sheets.map((sheet, i) => (
        <polygon
          key={i}
          points={corners(sheet, left(i), widest(sheet))}
          fill={colour}
          stroke="var(--color-base-content)"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  )
}

function corners(sheet: Sheet, left: number, widest: number): string {
  const far = sheet.end_width ?? sheet.width
  const [near, end] = [left + (widest - sheet.width) / 2, left + (widest - far) / 2]
  return `${near},0 ${near + sheet.width},0 ${end + far},${sheet.length} ${end},${sheet.length}`
}
