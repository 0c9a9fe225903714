import { useState } from "react"
import { Dialog } from "../pieces/Dialog"

/** The wreath as a picture to send, with its plan in it where that is ticked; and what goes along, said before. */
export function SendPicture({ id }: { id: number }) {
  const [open, setOpen] = useState(false)
  const [plan, setPlan] = useState(true)
  const [prices, setPrices] = useState(false)
  const [photos, setPhotos] = useState(false)
  const [code, setCode] = useState(false)
  const asked = [
    `photos=${photos ? "yes" : "no"}`,
    ...(plan ? ["plan=yes"] : []),
    ...(plan && prices ? ["prices=yes"] : []),
    ...(plan && code ? ["code=yes"] : []),
  ]
  const query = asked.join("&")
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        Picture…
      </button>
      {open && (
        <Dialog title="Send its picture" onClose={() => setOpen(false)}>
          <Tick says="Its plan goes along" ticked={plan} onTick={setPlan} />
          <Tick says="And what its materials cost" ticked={plan && prices} disabled={!plan} onTick={setPrices} />
          <Tick
            says="And as a code in its corner, which stays whoever passes it on (PNG)"
            ticked={plan && code}
            disabled={!plan}
            onTick={setCode}
          />
          <Tick says="Drawn with the photos of its materials" ticked={photos} onTick={setPhotos} />
          <p className="py-2 text-quiet">{goesAlong(plan, prices, photos)}</p>
          <p className="flex gap-3 pt-2">
            <a className="btn btn-primary" href={`/api/wreaths/${id}/picture.png?${query}`} download>
              PNG
            </a>
            <a className="btn" href={`/api/wreaths/${id}/picture.svg?${query}`} download>
              SVG
            </a>
          </p>
        </Dialog>
      )}
    </>
  )
}

/** What the file holds, said before it goes. */
function goesAlong(plan: boolean, prices: boolean, photos: boolean): string {
  const drawn = photos ? "the photos of the materials" : ""
  if (!plan) return `In the file: the picture alone${photos ? `, with ${drawn}` : ""}.`
  const said = ["the form", "the layers", "the steps", `what the materials are${prices ? " and cost" : ""}`]
  const all = photos ? [...said, drawn] : said
  return (
    `In the file: ${all.slice(0, -1).join(", ")} and ${all.at(-1)}. Not in it: your stash, your notebook, your ` +
    "money. Opened in another workshop, it is a wreath there."
  )
}

interface TickProps {
  says: string
  ticked: boolean
  disabled?: boolean
  onTick: (ticked: boolean) => void
}

const Tick = ({ says, ticked, disabled, onTick }: TickProps) => (
  <label className="flex min-h-11 items-center gap-3">
    <input
      type="checkbox"
      className="checkbox"
      checked={ticked}
      disabled={disabled}
      onChange={(event) => onTick(event.target.checked)}
    />
    {says}
  </label>
)
