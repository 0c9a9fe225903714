import { useEffect, useRef, type ReactNode } from "react"

const WIDTHS = { no: "max-w-2xl", yes: "max-w-3xl", very: "max-w-6xl" }

/** A dialog on the native element: Escape closes it, focus stays in it and comes back. */
export function Dialog({
  title,
  wide,
  onClose,
  children,
}: {
  title: string
  wide?: "yes" | "very"
  onClose: () => void
  children: ReactNode
}) {
  const element = useRef<HTMLDialogElement>(null)
  useEffect(() => {
    const dialog = element.current
    if (dialog && !dialog.open) dialog.showModal()
  }, [])
  useEffect(holdPage, [])
  return (
    <dialog
      ref={element}
      className="modal"
      aria-label={title}
      // One that is opened from this one tells of its closing here too.
      onClose={(event) => event.target === element.current && onClose()}
      onClick={(event) => event.target === element.current && element.current?.close()}
    >
      <div
        className={`modal-box max-h-[90dvh] border border-base-300 bg-base-200 shadow-none ${WIDTHS[wide ?? "no"]}`}
      >
        <div className="mb-3 flex items-start gap-4">
          <h2 className="text-xl">{title}</h2>
          <button type="button" className="btn ml-auto" onClick={() => element.current?.close()}>
            Close
          </button>
        </div>
        {children}
      </div>
    </dialog>
  )
}

/** What lies behind it does not scroll, as long as any is open; its width stays as it is. */
function holdPage() {
  const page = document.documentElement
  if (page.scrollHeight > page.clientHeight) page.classList.add("held")
  return () => {
    if (!document.querySelector("dialog[open]")) page.classList.remove("held")
  }
}
