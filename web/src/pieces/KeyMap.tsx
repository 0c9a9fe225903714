import { useEffect, useState } from "react"
import { Dialog } from "./Dialog"

const KEYS: { where: string; keys: [string, string][] }[] = [
  {
    where: "Everywhere",
    keys: [
      ["?", "This list"],
      ["Tab", "To the next thing that can be changed"],
      ["Esc", "Closes what is open"],
    ],
  },
  {
    where: "On a wreath",
    keys: [
      ["Ctrl Z", "Undo"],
      ["Arrows, on a handle of the drawing", "Moves it by half an hour"],
      ["Home, on a handle", "Hangs it in the middle of the opening"],
    ],
  },
  {
    where: "At the bench",
    keys: [
      ["Space, Page Down, Arrow Down", "One more"],
      ["Backspace, Page Up, Arrow Up", "Take one back"],
      ["Arrow Right, Arrow Left", "Next step, step before"],
    ],
  },
]

/** What the keys do, shown by a question mark. */
export function KeyMap() {
  const [open, setOpen] = useState(false)
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      const at = event.target as HTMLElement
      if (event.key !== "?" || at.closest("input, textarea, select, dialog")) return
      event.preventDefault()
      setOpen(true)
    }
    window.addEventListener("keydown", key)
    return () => window.removeEventListener("keydown", key)
  }, [])
  if (!open) return null
  return (
    <Dialog title="What the keys do" onClose={() => setOpen(false)}>
      {KEYS.map(({ where, keys }) => (
        <section key={where}>
          <h3 className="pt-2 text-lg">{where}</h3>
          <dl>
            {keys.map(([key, does]) => (
              <div key={key} className="row">
                <dt>
                  <kbd className="font-semibold">{key}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </Dialog>
  )
}
