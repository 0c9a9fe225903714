import type { ComponentProps } from "react"
import { useMutation, useQueryClient } from "@tanstack/react-query"
import { answered, api, type Settings, type Units } from "../keep/client"
import { keys } from "../keep/keys"
import { useSettings } from "../keep/queries"
import { Fetching } from "../pieces/Fetching"
import { OpenChoice } from "../pieces/OpenChoice"
import { House } from "../house/House"
import { ForMakers } from "../pieces/ForMakers"
import { MEASURES, Page } from "../pieces/Page"
import { percent } from "../pieces/money"
import { useUnits } from "../pieces/useUnits"
import { Problem } from "../pieces/Problem"
import { Look } from "./Look"
import { Field } from "../pieces/Field"

/** Currencies that are offered; any other of ISO 4217 can be asked for by its three letters in a plan. */
const CURRENCIES = ["USD", "EUR", "GBP", "CAD", "AUD", "NZD", "CHF", "SEK", "NOK", "DKK", "PLN", "CZK", "JPY", "INR"]

const PAPERS = [
  { value: "letter", says: "Letter" },
  { value: "a4", says: "A4" },
]

type Choice = ComponentProps<typeof OpenChoice>["choices"][number]

/** How many of a hundred wreaths are to come out with what was bought. */
const SURE = ["0.8", "0.9", "0.95", "0.99"].map((value) => ({ value, says: percent(Number(value)) }))

/** What tapes are marked in. */
const MARKS = ["1/4 in", "1/8 in", "1/16 in", "1/32 in", "5 mm", "2 mm", "1 mm"]

const ASKED = [
  { value: "yes", says: "Yes" },
  { value: "no", says: "No" },
]

const names = new Intl.DisplayNames("en", { type: "currency" })

/** How this device looks and measures; what holds for the whole application, and what a new wreath begins with. */
export function SettingsScreen() {
  const [units, setUnits] = useUnits()
  const settings = useSettings().data
  const queries = useQueryClient()
  const change = useMutation({
    mutationFn: async (said: Partial<Settings>) => answered(await api.PUT("/settings", { body: said })),
    onSuccess: (now) => {
      queries.setQueryData(keys.settings(), now)
      // Sums are said in sentences too.
      void queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.settings()[0] })
    },
  })
  if (!settings) return <Fetching what="Settings" />
  const offered = CURRENCIES.includes(settings.currency) ? CURRENCIES : [settings.currency, ...CURRENCIES]
  const chosen = (key: keyof Settings, label: string, choices: Choice[], help?: string) => (
    <Field label={label} help={help}>
      <OpenChoice
        label={label}
        name={key}
        value={settings[key]}
        choices={choices}
        onChange={(value) => change.mutate({ [key]: value })}
      />
    </Field>
  )
  return (
    <Page title="Settings" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-3xl px-4 py-4 sm:px-6">
        <h1 className="pb-2 text-2xl">Settings</h1>
        <h2 className="pt-1 text-lg">On this device</h2>
        <Look />
        <Field label="Units" help="Of lists, and of new wreaths. A wreath that was planned keeps its own.">
          <OpenChoice
            label="Units, on this device"
            name="units-here"
            value={units}
            choices={MEASURES}
            onChange={(next) => setUnits(next as Units)}
          />
        </Field>
        <ForMakers>
          <h2 className="pt-5 text-lg">Money and paper</h2>
          <Field label="Currency" help="Prices keep their numbers; only the sign changes.">
            {(labelled) => (
              <select
                {...labelled}
                className="select w-56 text-left"
                value={settings.currency}
                onChange={(event) => change.mutate({ currency: event.target.value })}
              >
                {offered.map((code) => (
                  <option key={code} value={code}>
                    {names.of(code)}
                  </option>
                ))}
              </select>
            )}
          </Field>
          {chosen("paper", "Paper", PAPERS)}
          <h2 className="pt-5 text-lg">New wreaths</h2>
          {chosen(
            "sureness",
            "How sure",
            SURE,
            "That what is bought will be enough. A wreath may be surer for itself, under Cut.",
          )}
          <Field label="Smallest mark on your tape" help="Lengths to cut are rounded up to it.">
            {(labelled) => (
              <select
                {...labelled}
                className="select w-56 text-left"
                value={settings.smallest_mark}
                onChange={(event) => change.mutate({ smallest_mark: event.target.value })}
              >
                <option value="">1/8 in, or 5 mm</option>
                {[...new Set([...MARKS, settings.smallest_mark])].filter(Boolean).map((mark) => (
                  <option key={mark}>{mark}</option>
                ))}
              </select>
            )}
          </Field>
          <h2 className="pt-5 text-lg">What is asked</h2>
          {chosen(
            "ask_uncut",
            "Was it cut?",
            ASKED,
            "When a wreath is finished whose material still lies in the stash: asked once, in one line.",
          )}
          <p className="pt-2 text-sm text-quiet">Saved as soon as you choose.</p>
        </ForMakers>
        <House />
        {change.isError && <Problem className="pt-2">{change.error.message}</Problem>}
      </main>
    </Page>
  )
}
