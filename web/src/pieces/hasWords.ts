/** Whether every word that is looked for stands somewhere in what is said. */
export const hasWords = (said: (string | undefined)[], looked: string) => {
  const all = said.join(" ").toLowerCase()
  return looked
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word))
}
