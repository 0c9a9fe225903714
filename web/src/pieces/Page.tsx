import { BookOpen, Settings } from "lucide-react"
import { memo, useEffect, type ReactNode } from "react"
import { NavLink } from "react-router"
import type { Units } from "../keep/client"
import { OpenChoice } from "./OpenChoice"

const HEAD =
  "flex items-center gap-x-6 gap-y-1 border-b border-base-300 px-4 py-1.5 " +
  "max-sm:gap-x-3 max-sm:text-sm max-[24rem]:flex-wrap sm:flex-wrap sm:px-6"

interface Props {
  title: string
  units: Units
  /** None where nobody may change them. */
  onUnits?: (units: Units) => void
  children: ReactNode
}

const places = [
  { to: "/", says: "Wreaths" },
  { to: "/stash", says: "Stash" },
  { to: "/occasions", says: "Occasions" },
  { to: "/notebook", says: "Notebook" },
]

/** What lengths are said in. */
export const MEASURES = [
  { value: "in", says: "inches" },
  { value: "cm", says: "cm" },
]

/** What stands at the head of every screen. */
export function Page({ title, units, onUnits, children }: Props) {
  useEffect(() => {
    document.title = `${title} · Crisp Lantern`
  }, [title])
  return (
    <>
      <header className={`no-print ${HEAD}`}>
        <Places />
        <div className="ml-auto flex items-center gap-3">
          <Asides />
          {onUnits && (
            <span className="max-sm:hidden">
              <OpenChoice
                label="Units"
                name="units"
                value={units}
                onChange={(value) => onUnits(value as Units)}
                choices={MEASURES}
              />
            </span>
          )}
        </div>
      </header>
      {children}
    </>
  )
}

/** Where one can go from everywhere: the same while a maker types. */
const Places = memo(function Places() {
  return (
    <>
      <span className="flex items-center gap-2 font-display text-lg font-bold">
        <img src="/lantern.svg" alt="" className="h-7 w-7" />
        <span className="max-sm:sr-only">Crisp Lantern</span>
      </span>
      <nav aria-label="Places" className="flex gap-5 max-sm:gap-3 max-[24rem]:flex-wrap">
        {places.map((place) => (
          <NavLink
            key={place.to}
            to={place.to}
            className={({ isActive }) => placeLook(isActive || isWreath(place.to))}
          >
            {place.says}
          </NavLink>
        ))}
      </nav>
    </>
  )
})

const Asides = memo(function Asides() {
  return (
    <>
      <NavLink to="/words" aria-label="Words and sums" className={({ isActive }) => placeLook(isActive)}>
        <BookOpen size={20} aria-hidden="true" />
      </NavLink>
      <NavLink to="/settings" aria-label="Settings" className={({ isActive }) => placeLook(isActive)}>
        <Settings size={20} aria-hidden="true" />
      </NavLink>
    </>
  )
})

const isWreath = (to: string) => to === "/" && /^\/(wreaths|new)/.test(location.pathname)

const placeLook = (here: boolean) =>
  `border-b-2 py-1.5 ${here ? "border-primary font-semibold" : "border-transparent text-quiet hover:border-base-300"}`
