import sums from "../../../docs/sums.md?page"
import words from "../../../docs/words.md?page"
import { Page } from "../pieces/Page"
import { useUnits } from "../pieces/useUnits"

/** The words of the trade, and how every number is made, with where its formula comes from: made when this is built. */
export function WordsScreen() {
  const [units, setUnits] = useUnits()
  return (
    <Page title="Words and sums" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-4xl px-4 py-4 sm:px-6">
        <h1 className="text-2xl">Words and sums</h1>
        <div
          className="words"
          tabIndex={0}
          role="region"
          aria-label="Words and sums"
          dangerouslySetInnerHTML={{ __html: words + sums }}
        />
      </main>
    </Page>
  )
}
