import { useEffect, type ReactNode } from "react"
import { NavLink } from "react-router"
import type { Units } from "../api/client"
import { OpenChoice } from "./OpenChoice"

interface Props {
  title: string
  units: Units
  onUnits: (units: Units) => void
  children: ReactNode
}

const places = [
  { to: "/", says: "Wreaths" },
  { to: "/stash", says: "Stash" },
  { to: "/occasions", says: "Occasions" },
  { to: "/notebook", says: "Notebook" },
]

/** What stands at the head of every screen. */
export function Page({ title, units, onUnits, children }: Props) {
  useEffect(() => {
    document.title = `${title} · Crisp Lantern`
  }, [title])
  return (
    <>
      <header className="no-print flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-base-300 px-4 py-1.5 sm:px-6">
        <span className="flex items-center gap-2 font-display text-lg font-bold">
          <img src="/lantern.svg" alt="" className="h-7 w-7" />
          Crisp Lantern
        </span>
        <nav aria-label="Places" className="flex gap-5">
          {places.map((place) => (
            <NavLink key={place.to} to={place.to}
              className={({ isActive }) => `border-b-2 py-1.5 ${isActive || (place.to === "/" && location.pathname.startsWith("/wreaths")) ? "border-primary font-semibold" : "border-transparent text-quiet hover:border-base-300"}`}>
              {place.says}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto">
          <OpenChoice label="Units" name="units" value={units} onChange={(value) => onUnits(value as Units)}
            choices={[{ value: "in", says: "inches" }, { value: "cm", says: "cm" }]} />
        </div>
      </header>
      {children}
    </>
  )
}
