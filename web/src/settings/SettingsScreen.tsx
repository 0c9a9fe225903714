import { useMutation, useQueryClient } from "@tanstack/react-query"
import { answered, api, type Settings } from "../keep/client"
import { keys } from "../keep/keys"
import { useSettings } from "../keep/queries"
import { Fetching } from "../pieces/Fetching"
import { OpenChoice } from "../pieces/OpenChoice"
import { House } from "../house/House"
import { ForMakers } from "../pieces/ForMakers"
import { Page } from "../pieces/Page"
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

const names = new Intl.DisplayNames("en", { type: "currency" })

/** What holds for the whole application: the currency, the paper that is printed on; and how this device looks. */
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
  return (
    <Page title="Settings" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-3xl px-4 py-4 sm:px-6">
        <h1 className="pb-2 text-2xl">Settings</h1>
        <Look />
        <ForMakers>
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
          <Field label="Paper">
            <OpenChoice
              label="Paper"
              name="paper"
              value={settings.paper}
              choices={PAPERS}
              onChange={(paper) => change.mutate({ paper: paper as Settings["paper"] })}
            />
          </Field>
          <p className="pt-2 text-sm text-quiet">Saved as soon as you choose.</p>
        </ForMakers>
        <House />
        {change.isError && <Problem className="pt-2">{change.error.message}</Problem>}
      </main>
    </Page>
  )
}
