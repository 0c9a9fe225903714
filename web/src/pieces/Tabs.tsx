import { useRef, type KeyboardEvent } from "react"

interface Props<Key extends string> {
  label: string
  tabs: { key: Key; says: string }[]
  chosen: Key
  /** Id of what the tabs show. */
  panel: string
  onChoose: (key: Key) => void
}

const CHOSEN = "border-primary font-semibold"
const OTHER = "border-transparent text-quiet"

/** Tabs as ARIA has them: one of them in the order of the tab key, the arrows from one to the next. */
export function Tabs<Key extends string>({ label, tabs, chosen, panel, onChoose }: Props<Key>) {
  const list = useRef<HTMLDivElement>(null)
  const step = (event: KeyboardEvent) => {
    const at = tabs.findIndex(({ key }) => key === chosen)
    const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: tabs.length - 1 }[event.key]
    const next = to === undefined ? undefined : tabs[(to + tabs.length) % tabs.length]
    if (!next) return
    event.preventDefault()
    onChoose(next.key)
    list.current?.querySelectorAll<HTMLElement>("[role=tab]")[tabs.indexOf(next)]?.focus()
  }
  return (
    <div
      ref={list}
      role="tablist"
      aria-label={label}
      className="flex flex-wrap gap-x-5 whitespace-nowrap max-sm:gap-x-3"
      onKeyDown={step}
    >
      {tabs.map(({ key, says }) => (
        <button
          key={key}
          role="tab"
          type="button"
          aria-selected={key === chosen}
          aria-controls={panel}
          tabIndex={key === chosen ? 0 : -1}
          onClick={() => onChoose(key)}
          className={"cursor-pointer border-b-2 py-1 " + (key === chosen ? CHOSEN : OTHER)}
        >
          {says}
        </button>
      ))}
    </div>
  )
}
