import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { useNavigate } from "react-router"
import { answered, api, problemsOf, type CutBar, type Problem as Said, type Wreath } from "../keep/client"
import { keys } from "../keep/keys"
import { nameOfItsOwn, once } from "../keep/sending"
import { Prose } from "../pieces/Prose"
import { PhotoInput } from "../pieces/PhotoInput"
import { Problem } from "../pieces/Problem"
import { Field } from "../pieces/Field"
import { Uncut } from "./Uncut"

/** The end of a make: what was really used, a note, a photo; filled in by the counts, and into the notebook. */
export function FinishForm({
  wreath,
  sheet,
  counted,
  waiting,
  onBack,
  onDone,
}: {
  wreath: Wreath
  /** What is cut for it. */
  sheet: CutBar[]
  /** Whether anything was. */
  counted: boolean
  waiting: number
  onBack: () => void
  onDone: () => void
}) {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const [count, setCount] = useState(1)
  const form = useQuery({
    queryKey: keys.finish(wreath.id, waiting, count),
    enabled: waiting === 0,
    gcTime: 0,
    placeholderData: keepPreviousData,
    queryFn: async () =>
      answered(await api.GET("/wreaths/{id}/finish", { params: { path: { id: wreath.id }, query: { count } } })),
  }).data
  const lines = form?.materials
  const [used, setUsed] = useState<Record<string, string>>({})
  const [note, setNote] = useState("")
  // However often it is sent, a make is finished once.
  const [name] = useState(nameOfItsOwn)
  const [photo, setPhoto] = useState<string>()
  const [problems, setProblems] = useState<Said[]>([])
  const save = async () => {
    const all = Object.fromEntries((lines ?? []).map((line) => [line.material, used[line.material] ?? line.used]))
    const { data, error } = await api.POST("/wreaths/{id}/finish", {
      params: { path: { id: wreath.id } },
      headers: once(name),
      body: { used: all, count, note, ...(photo ? { photo } : {}) },
    })
    setProblems(data ? [] : problemsOf(error))
    if (!data) return
    onDone()
    await queries.invalidateQueries()
    void navigate("/notebook")
  }
  return (
    <main className="mx-auto w-full max-w-2xl flex-1 px-4 pb-6">
      <h2 className="text-3xl">What did it take?</h2>
      <p className="pb-2 text-lg text-quiet">
        {counted ? "Filled in from what you counted." : "Nothing was counted: this is what was planned."} Put right
        what was different: cut again, left over, thrown away.
      </p>
      <Uncut wreath={wreath} sheet={sheet} />
      {!lines && (
        <p className="text-quiet" aria-busy="true">
          {waiting > 0 ? "Waiting until everything counted has reached the server…" : "Adding up…"}
        </p>
      )}
      <form
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        {form && (
          <HowMany
            form={form}
            cut={wreath.cut}
            count={count}
            onCount={(next) => {
              setCount(next)
              setUsed({})
            }}
          />
        )}
        {lines?.map((line) => (
          <Used
            key={line.material}
            line={line}
            used={used[line.material] ?? line.used}
            problem={problems.find((each) => each.at === `used.${line.material}`)?.says}
            onUsed={(amount) => setUsed({ ...used, [line.material]: amount })}
          />
        ))}
        <label className="block pt-3" htmlFor="note">
          A note for next time
        </label>
        <textarea
          id="note"
          rows={3}
          maxLength={4000}
          className="textarea h-auto w-full text-left"
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <Photo photo={photo} onPhoto={setPhoto} />
        {problems
          .filter((problem) => !problem.at.startsWith("used."))
          .map((problem) => (
            <Problem key={problem.says} className="pt-2">
              {problem.says}
            </Problem>
          ))}
        <p className="flex gap-3 pt-4">
          <button
            type="submit"
            className="btn btn-primary min-h-14 flex-[2] text-xl"
            disabled={!form || form.most < count}
          >
            Into the notebook
          </button>
          <button type="button" className="btn min-h-14 flex-1" onClick={onBack}>
            Back to the bench
          </button>
        </p>
      </form>
    </main>
  )
}

/** A photo of what was made; by the name under which it is kept. */
function Photo({ photo, onPhoto }: { photo: string | undefined; onPhoto: (photo: string) => void }) {
  return (
    <>
      <label className="block pt-3" htmlFor="photo">
        A photo
      </label>
      <PhotoInput id="photo" className="file-input w-full" onSent={({ id }) => onPhoto(id)} />
      {photo && <img src={`/api/pictures/${photo}`} alt="The finished wreath" className="mt-2 max-h-40" />}
    </>
  )
}

/** Of several that were cut together, how many are finished now. */
function HowMany({
  form,
  cut,
  count,
  onCount,
}: {
  form: { finished: number; most: number }
  cut: boolean
  count: number
  onCount: (count: number) => void
}) {
  if (form.most < 1) {
    return (
      <p role="alert" className="border-l-4 border-primary pl-3">
        All that were cut for are finished, and in the notebook. To make it again, copy the wreath and cut for the
        copy.
      </p>
    )
  }
  if (form.finished + form.most === 1) return null
  return (
    <Field
      label="How many are finished now?"
      help={
        cut
          ? `cut for ${form.finished + form.most}, ${form.finished} finished before`
          : "what follows is for all of them"
      }
    >
      {(labelled) => (
        <select
          {...labelled}
          className="select min-h-11"
          value={count}
          onChange={(event) => onCount(Number(event.target.value))}
        >
          {Array.from({ length: form.most }, (_, i) => (
            <option key={i + 1}>{i + 1}</option>
          ))}
        </select>
      )}
    </Field>
  )
}

interface UsedLine {
  material: string
  name: string
  planned_says: string
  used: string
}

/** What was used of one material. */
function Used({
  line,
  used,
  problem,
  onUsed,
}: {
  line: UsedLine
  used: string
  problem: string | undefined
  onUsed: (amount: string) => void
}) {
  return (
    <Field
      label={line.name}
      help={
        <>
          planned <Prose>{line.planned_says}</Prose>
        </>
      }
      problem={problem}
    >
      {(labelled) => (
        <input
          {...labelled}
          className="input min-h-11"
          value={used}
          onFocus={(event) => event.target.select()}
          onChange={(event) => onUsed(event.target.value)}
        />
      )}
    </Field>
  )
}
