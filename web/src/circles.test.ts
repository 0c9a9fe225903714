import { expect, test } from "vitest"

const files = import.meta.glob<string>("./**/*.{ts,tsx}", { query: "?raw", import: "default", eager: true })

/** What a file takes from files beside it, as they are named here. */
function taken(file: string): string[] {
  const folder = new URL(file, "file:///")
  return [...files[file]!.matchAll(/(?:from|import\()\s*"(\.[^"]+)"/g)].flatMap(([, path]) => {
    const there = `.${new URL(path!, folder).pathname}`
    return [`${there}.ts`, `${there}.tsx`].filter((each) => each in files)
  })
}

test("no file takes anything from one that takes something from it", () => {
  const done = new Set<string>()
  const circles: string[][] = []
  const walk = (file: string, way: string[]) => {
    if (way.includes(file)) circles.push([...way.slice(way.indexOf(file)), file])
    if (done.has(file) || way.includes(file)) return
    taken(file).forEach((each) => walk(each, [...way, file]))
    done.add(file)
  }
  Object.keys(files).forEach((file) => walk(file, []))
  expect(done.size).toBeGreaterThan(150)
  expect(circles).toEqual([])
})
