import { useEffect, useRef, useState } from "react"
import { filmOf } from "../../keep/film"
import { saysOf } from "../../keep/client"
import { Dialog } from "../../pieces/Dialog"
import { OpenChoice } from "../../pieces/OpenChoice"
import { Problem } from "../../pieces/Problem"
import { Select } from "../../pieces/Select"

const FORMATS = [
  { value: "webp", says: "WebP, up to 200 frames" },
  { value: "gif", says: "GIF, up to 100" },
]

interface Props {
  id: number
  name: string
  steps: { id: string; title: string }[]
}

/** The wreath being made as a film to send: all of it, or one step. */
export function SendFilm({ id, name, steps }: Props) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        Film…
      </button>
      {open && (
        <Dialog title="Send how it is made" onClose={() => setOpen(false)}>
          <Making id={id} name={name} steps={steps} />
        </Dialog>
      )}
    </>
  )
}

function Making({ id, name, steps }: Props) {
  const [format, setFormat] = useState("webp")
  const [step, setStep] = useState("")
  const [share, setShare] = useState<number>()
  const [film, setFilm] = useState<{ address: string; format: string }>()
  const [problem, setProblem] = useState("")
  const left = useRef<AbortController>(undefined)
  useEffect(() => () => left.current?.abort(), [])
  const make = async () => {
    left.current = new AbortController()
    setFilm(undefined)
    setProblem("")
    setShare(0)
    try {
      setFilm({ address: await filmOf(id, format, step || undefined, left.current.signal, setShare), format })
    } catch (error) {
      if (!left.current.signal.aborted) setProblem(saysOf(error))
    }
    setShare(undefined)
  }
  return (
    <div className="grid gap-3">
      <OpenChoice label="As" name="film-format" value={format} choices={FORMATS} onChange={setFormat} />
      <Select
        id="film-step"
        label="Of what"
        value={step}
        none="Of the whole wreath"
        choices={steps.map((each) => ({ value: each.id, says: each.title }))}
        onChange={(chosen = "") => setStep(chosen)}
      />
      {share === undefined ? (
        <button type="button" className={`btn ${film ? "" : "btn-primary"}`} onClick={() => void make()}>
          {film ? "Make another" : "Make the film"}
        </button>
      ) : (
        <label>
          Being drawn: {Math.round(share * 100)} %
          <progress className="progress" value={share} />
        </label>
      )}
      {problem && <Problem>{problem}</Problem>}
      {film && (
        <>
          <img
            src={film.address}
            alt="The wreath being made, from the bare form on"
            className="max-h-80 justify-self-center motion-reduce:hidden"
          />
          <a className="btn btn-primary" href={film.address} download={`${name}.${film.format}`}>
            Save the film
          </a>
        </>
      )}
    </div>
  )
}
