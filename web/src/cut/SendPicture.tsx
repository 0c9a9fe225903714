import { useState } from "react"
import { Dialog } from "../pieces/Dialog"

const along = (what: string) =>
  `In the file: the form, the layers, the steps and what the materials are${what}. Not in it: your stash, your ` +
  "notebook, your money. Opened in another workshop, it is a wreath there."

/** What the file holds, said before it goes. */
const ALONG = { plain: along(""), priced: along(" and cost") }

/** The wreath as a picture to send, with its plan in it where that is ticked; and what goes along, said before. */
export function SendPicture({ id }: { id: number }) {
  const [open, setOpen] = useState(false)
  const [plan, setPlan] = useState(true)
  const [prices, setPrices] = useState(false)
  const asked = `${plan ? "plan=yes" : ""}${plan && prices ? "&prices=yes" : ""}`
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        Picture…
      </button>
      {open && (
        <Dialog title="Send its picture" onClose={() => setOpen(false)}>
          <Tick says="Its plan goes along" ticked={plan} onTick={setPlan} />
          <Tick says="And what its materials cost" ticked={plan && prices} disabled={!plan} onTick={setPrices} />
          <p className="py-2 text-quiet">
            {plan
              ? ALONG[prices ? "priced" : "plain"]
              : "The picture alone. The SVG has the photos of its materials."}
          </p>
          <p className="flex gap-3 pt-2">
            <a className="btn btn-primary" href={`/api/wreaths/${id}/picture.png?${asked}`} download>
              PNG
            </a>
            <a className="btn" href={`/api/wreaths/${id}/picture.svg?photos=yes&${asked}`} download>
              SVG
            </a>
          </p>
        </Dialog>
      )}
    </>
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
