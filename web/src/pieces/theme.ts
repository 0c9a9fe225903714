export type Theme = "auto" | "lantern" | "dusk"

const NAME = "lantern.theme"

/** The look a maker chose on this device; as the machine has it, until they choose. */
export const chosenTheme = (): Theme => {
  const kept = localStorage.getItem(NAME)
  return kept === "lantern" || kept === "dusk" ? kept : "auto"
}

/** Shows a look, and keeps the choice. */
export function chooseTheme(theme: Theme) {
  if (theme === "auto") localStorage.removeItem(NAME)
  else localStorage.setItem(NAME, theme)
  showTheme()
}

/** Puts the chosen look on the page; without one the style sheet follows the machine. */
export function showTheme() {
  const theme = chosenTheme()
  if (theme === "auto") delete document.documentElement.dataset.theme
  else document.documentElement.dataset.theme = theme
}
