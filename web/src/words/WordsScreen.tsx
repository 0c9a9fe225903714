import Markdown from "react-markdown"
import remarkGfm from "remark-gfm"
import sums from "../../../docs/sums.md?raw"
import words from "../../../docs/words.md?raw"
import { Page } from "../pieces/Page"
import { useUnits } from "../pieces/useUnits"

/** The trade’s words alone: what the house calls its own parts is for whoever changes it. */
const TRADE = words.slice(words.indexOf("## The trade"), words.indexOf("## The house"))

/** The words of the trade, and how every number is made, with where its formula comes from. */
export function WordsScreen() {
  const [units, setUnits] = useUnits()
  return (
    <Page title="Words and sums" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-4xl px-4 py-4 sm:px-6">
        <h1 className="text-2xl">Words and sums</h1>
        <div className="words" tabIndex={0} role="region" aria-label="Words and sums">
          <Markdown remarkPlugins={[remarkGfm]}>{TRADE}</Markdown>
          <Markdown remarkPlugins={[remarkGfm]} components={{ h1: "h2", h2: "h3", h3: "h4" }}>
            {sums}
          </Markdown>
        </div>
      </main>
    </Page>
  )
}
