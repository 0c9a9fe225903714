import { useState } from "react"
import type { Units } from "../keep/client"

const KEY = "lantern.units"

/** The units a maker prefers where no plan says otherwise. Kept on this device. */
export function useUnits(): [Units, (units: Units) => void] {
  const [units, setUnits] = useState<Units>(() => (localStorage.getItem(KEY) === "cm" ? "cm" : "in"))
  const keep = (next: Units) => {
    localStorage.setItem(KEY, next)
    setUnits(next)
  }
  return [units, keep]
}
