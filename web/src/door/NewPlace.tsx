import { useMutation } from "@tanstack/react-query"
import { useId, useState } from "react"
import { answered, api, problemsOf, Refusal, type KeptPlace, type Place, type Units } from "../keep/client"
import { useDeclarations, useSettings } from "../keep/queries"
import { TappedPhoto } from "../photo/TappedPhoto"
import { TargetRow } from "../photo/TargetRow"
import { nextTarget, tapped, untapped, type Taps, type Target } from "../photo/taps"
import { FieldControl } from "../pieces/FieldControl"
import { OpenChoice } from "../pieces/OpenChoice"
import { PhotoInput } from "../pieces/PhotoInput"
import { Problem } from "../pieces/Problem"
import { Prose } from "../pieces/Prose"
import type { SentPhoto } from "../pieces/usePhoto"

interface Props {
  units: Units
  /** How many there are already: the next has another name. */
  before: number
  onKept: (place: KeptPlace) => void
  /** Where there is another to go back to. */
  onClose?: () => void
}

const TARGETS: Target[] = [
  {
    name: "corners",
    says: "The sheet’s corners",
    how: "Tap its four corners, one after another.",
    least: 4,
    most: 4,
  },
  { name: "edges", says: "The door’s edges", how: "Tap its left and its right edge.", least: 2, most: 2 },
]

/** A door that was never looked at: its photo, and what in it says how large it is; or its width and its colour. */
export function NewPlace({ units, before, onKept, onClose }: Props) {
  const [photo, setPhoto] = useState<SentPhoto>()
  const [said, setSaid] = useState<Omit<Place, "units">>({})
  const keep = useMutation({
    mutationFn: async (place: Place) =>
      answered(await api.POST("/places", { body: { name: before ? `Door ${before + 1}` : "Our door", place } })),
    onSuccess: onKept,
  })
  const problems = keep.error instanceof Refusal ? keep.error.problems : keep.error ? problemsOf(keep.error) : []
  return (
    <section aria-label="A new place" className="px-4 pb-3 sm:px-6">
      <h2 className="pt-2 text-xl">On your door</h2>
      {!photo && (
        <p className="max-w-prose pb-2">
          Tape a sheet of letter or A4 paper flat on the door, take a picture with all of the door in it, and choose
          it here.
        </p>
      )}
      {photo ? (
        <Tapping photo={photo} units={units} busy={keep.isPending} problems={problems} onPlace={keep.mutate} />
      ) : (
        <>
          <PhotoInput label="A photo of the door" className="file-input w-full max-w-md" onSent={setPhoto} />
          <h3 className="pt-4 text-lg">Or without a photo</h3>
          <div className="max-w-xl">
            <Asked
              names={["wide", "paint"]}
              said={said}
              problems={problems}
              onChange={(name, value) => setSaid({ ...said, [name]: value })}
            />
          </div>
          <p className="flex gap-3 pt-3">
            <button
              type="button"
              className="btn btn-primary"
              disabled={!said.wide || keep.isPending}
              onClick={() => keep.mutate({ units, ...said })}
            >
              Hang it on that
            </button>
            {onClose && (
              <button type="button" className="btn" onClick={onClose}>
                Back
              </button>
            )}
          </p>
        </>
      )}
    </section>
  )
}

interface TappingProps {
  photo: SentPhoto
  units: Units
  busy: boolean
  problems: { at: string; says: string }[]
  onPlace: (place: Place) => void
}

/** Where the sheet and the door lie in its photo. */
function Tapping({ photo, units, busy, problems, onPlace }: TappingProps) {
  const declarations = useDeclarations().data
  const paper = useSettings().data?.paper ?? "letter"
  const [sheet, setSheet] = useState<string>()
  const [taps, setTaps] = useState<Taps>({})
  const [target, setTarget] = useState("corners")
  const [wide, setWide] = useState<Place["wide"]>()
  const now = TARGETS.find(({ name }) => name === target)!
  const list = useId()
  const [corners, edges] = [taps.corners ?? [], taps.edges ?? []]
  const place: Place = {
    units,
    photo: { id: photo.id, width: photo.width, height: photo.height },
    ...(corners.length === 4 && { sheet: sheet ?? paper, corners }),
    ...(edges.length === 2 && { edges }),
    ...(wide && { wide }),
  }
  const measured = corners.length === 4 || (edges.length === 2 && Boolean(wide))
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,10fr)_minmax(0,9fr)]">
      <TappedPhoto
        picture={photo}
        taps={taps}
        target={target}
        onTap={(at) => {
          const next = tapped(taps, now, at)
          setTaps(next)
          setTarget(nextTarget(TARGETS, next, target))
        }}
      />
      <div>
        <p role="status" className="pb-2 text-lg font-semibold">
          {now.says}: {now.how}
        </p>
        <ul aria-labelledby={list} className="pb-2">
          {TARGETS.map(({ name, says, least }) => (
            <TargetRow
              key={name}
              says={says}
              taps={taps[name]?.length ?? 0}
              chosen={name === target}
              onChoose={() => setTarget(name)}
              onUndo={() => {
                setTaps(untapped(taps, name))
                setTarget(name)
              }}
            >
              <span className="text-quiet">
                {taps[name]?.length ?? 0} of {least}
                {name === "edges" && ", if you like"}
              </span>
            </TargetRow>
          ))}
        </ul>
        <h3 id={list} className="sr-only">
          What is tapped
        </h3>
        <OpenChoice
          label="The sheet"
          name="sheet-on-door"
          value={sheet ?? paper}
          choices={declarations?.forms.sheets ?? []}
          onChange={setSheet}
        />
        <Asked
          names={["wide"]}
          said={{ wide }}
          problems={problems}
          onChange={(_, value) => setWide(value as never)}
        />
        {problems
          .filter(({ at }) => at !== "wide")
          .map(({ says }) => (
            <Problem key={says} className="pt-1">
              <Prose>{says}</Prose>
            </Problem>
          ))}
        <button
          type="button"
          className="btn btn-primary mt-3"
          disabled={!measured || busy}
          onClick={() => onPlace(place)}
        >
          Hang it here
        </button>
      </div>
    </div>
  )
}

interface AskedProps {
  names: string[]
  said: Record<string, unknown>
  problems: { at: string; says: string }[]
  onChange: (name: string, value: unknown) => void
}

/** What is asked of a door, as it is declared. */
export function Asked({ names, said, problems, onChange }: AskedProps) {
  const fields = useDeclarations().data?.places ?? []
  return fields
    .filter(({ name }) => names.includes(name))
    .map((field) => (
      <FieldControl
        key={field.name}
        field={field}
        place={field.name}
        value={said[field.name]}
        fallback={field.default === undefined ? undefined : String(field.default)}
        problem={problems.find(({ at }) => at === field.name)?.says}
        onChange={(value) => onChange(field.name, value)}
      />
    ))
}
