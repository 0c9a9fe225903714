import { keepPreviousData, useQuery } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, problemsOf, Refusal, type Declarations, type PhotoSizes, type Units } from "../keep/client"
import { keys } from "../keep/keys"
import { useSettings } from "../keep/queries"
import { Dialog } from "../pieces/Dialog"
import { OpenChoice } from "../pieces/OpenChoice"
import { PhotoInput } from "../pieces/PhotoInput"
import { Prose } from "../pieces/Prose"
import { TappedPhoto } from "./TappedPhoto"
import { TargetRow } from "./TargetRow"
import { measurable, nextTarget, tapped, targetsOf, untapped, type Taps } from "./taps"
import { Problem } from "../pieces/Problem"

interface Props {
  shape: Declarations["forms"]["shapes"][number]
  sheets: Declarations["forms"]["sheets"]
  units: Units
  /** The sizes that were measured, by their names; and an own outline's corners. */
  onUse: (sizes: Record<string, unknown>) => void
  onClose: () => void
}

interface Picture {
  id: string
  width: number
  height: number
}

/** A form measured from a photo of it beside a sheet of paper. */
export function MeasurePhoto({ shape, sheets, units, onUse, onClose }: Props) {
  const [picture, setPicture] = useState<Picture>()
  return (
    <Dialog title="Measure from a photo" wide="very" onClose={onClose}>
      {!picture && (
        <>
          <p className="pb-2">
            Lay a sheet of paper flat beside the form, as high as its front (on a book), and take a picture from
            straight above with both in it.
          </p>
          <PhotoInput
            label="A photo of the form beside a sheet"
            className="file-input w-full max-w-md"
            onSent={setPicture}
          />
        </>
      )}
      {picture && (
        <Measuring
          picture={picture}
          shape={shape}
          sheets={sheets}
          units={units}
          onUse={(sizes) => {
            onUse(sizes)
            onClose()
          }}
        />
      )}
    </Dialog>
  )
}

interface MeasuringProps extends Omit<Props, "onClose"> {
  picture: Picture
}

function Measuring({ picture, shape, sheets, units, onUse }: MeasuringProps) {
  const outline = shape.fields.some(({ name }) => name === "points")
  const targets = targetsOf(
    shape.fields.filter(({ kind, fine }) => kind === "length" && !fine),
    outline,
  )
  const usual = useSettings().data?.paper ?? "letter"
  const [sheet, setSheet] = useState<string>(usual)
  const [turned, setTurned] = useState(false)
  const [taps, setTaps] = useState<Taps>({})
  const [target, setTarget] = useState("corners")
  const now = targets.find(({ name }) => name === target)!
  const question = measurable(targets, taps)
  const asked = useQuery({
    queryKey: keys.photoSizes(picture.id, { ...question, sheet, turned, units }),
    enabled: question !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: async () =>
      answered(
        await api.POST("/ask/photo-sizes", { body: { photo: picture.id, units, sheet, turned, ...question! } }),
      ),
  })
  const problems = asked.error instanceof Refusal ? asked.error.problems : asked.error ? problemsOf(asked.error) : []
  const measured = problems.length > 0 || !question ? undefined : asked.data
  return (
    <div className="grid gap-4 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <TappedPhoto
        picture={picture}
        taps={taps}
        target={target}
        found={measured?.found ? measured.corners : undefined}
        onTap={(place) => {
          const next = tapped(taps, now, place)
          setTaps(next)
          setTarget(nextTarget(targets, next, target))
        }}
      />
      <div>
        <p role="status" className="pb-1 font-semibold">
          {now.says}: {now.how}
        </p>
        <OpenChoice label="The sheet" name="sheet" value={sheet} choices={sheets} onChange={setSheet} />
        <label className="flex items-center gap-2 py-2 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={turned}
            onChange={(event) => setTurned(event.target.checked)}
          />
          {measured
            ? `It lies ${measured.lies === "across" ? "across" : "upright"}; turn it the other way`
            : "The sheet lies the other way than it seems to"}
        </label>
        <ul aria-label="What is measured">
          {targets.map((each) => (
            <TargetRow
              key={each.name}
              says={each.says}
              taps={taps[each.name]?.length ?? 0}
              chosen={each.name === target}
              onChoose={() => setTarget(each.name)}
              onUndo={() => {
                setTaps(untapped(taps, each.name))
                setTarget(each.name)
              }}
            >
              <Come
                taps={taps[each.name]?.length ?? 0}
                least={each.least}
                size={measured?.sizes.find(({ name }) => name === each.name)}
              />
            </TargetRow>
          ))}
        </ul>
        {problems.map((problem) => (
          <Problem key={problem.says} className="pt-1">
            <Prose>{problem.says}</Prose>
          </Problem>
        ))}
        {measured && !measured.found && (
          <p className="pt-1 text-sm text-quiet">
            The sheet’s edges cannot be told from the table: the sizes rest on your taps alone.
          </p>
        )}
        <p className="pt-3">
          <button
            type="button"
            className="btn btn-primary"
            disabled={!measured}
            onClick={() => measured && onUse(usedOf(measured))}
          >
            Use these sizes
          </button>
        </p>
      </div>
    </div>
  )
}

/** What goes into the form. */
const usedOf = ({ sizes, outline }: PhotoSizes): Record<string, unknown> => ({
  ...Object.fromEntries(sizes.map(({ name, length }) => [name, length])),
  ...(outline && { points: outline.points, width: outline.width }),
})

/** What came of the taps: the size, or how many are wanted. */
function Come({ taps, least, size }: { taps: number; least: number; size?: PhotoSizes["sizes"][number] }) {
  if (!size) {
    return (
      <span className="text-sm text-quiet">
        {taps} of {least}
      </span>
    )
  }
  return (
    <>
      <b>
        <Prose>{size.says}</Prose>
      </b>{" "}
      <span className="text-sm text-quiet">
        <Prose>{size.sure}</Prose>
      </span>
    </>
  )
}
