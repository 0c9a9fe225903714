import { useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { Link, useNavigate, useParams } from "react-router"
import { api, type Field, type Wreath } from "../api/client"
import { useDeclarations, useStash, useWorkedOccasion, useWreaths } from "../api/queries"
import { count, CutLength, opened } from "../cut/CutLength"
import { FieldControl } from "../pieces/FieldControl"
import { MoneyTerms } from "../pieces/MoneyTerms"
import { OpenChoice } from "../pieces/OpenChoice"
import { Page } from "../pieces/Page"
import { Prose } from "../pieces/Prose"
import { Working } from "../pieces/Working"
import { Purchase } from "../wreath/Purchase"
import { offerSays } from "../wreath/BuyStage"
import { dayText, hoursText } from "./days"
import { Evenings } from "./Evenings"
import { useOccasion } from "./useOccasion"

type View = "days" | "wreaths" | "buy" | "cut"
const views: { value: View; says: string }[] = [{ value: "days", says: "Days" }, { value: "wreaths", says: "Wreaths" }, { value: "buy", says: "Buy" }, { value: "cut", says: "Cut" }]

/** Several wreaths for one day: when to buy and make them, what to buy, one cut sheet for all. */
export function OccasionScreen() {
  const id = Number(useParams().id)
  const occasion = useOccasion(id)
  const { data } = useWorkedOccasion(id)
  const [view, setView] = useState<View>("days")
  const navigate = useNavigate()
  const queries = useQueryClient()
  const { said, keep } = occasion
  if (occasion.missing) return <Page title="Not found" units="in" onUnits={() => {}}><main className="p-6"><h1 className="text-2xl">This occasion is not here</h1><p><Link className="underline" to="/occasions">All occasions</Link></p></main></Page>
  if (!said) return <Page title="Occasion" units="in" onUnits={() => {}}><main className="p-6" aria-busy="true"><h1 className="text-quiet">Fetching the occasion…</h1></main></Page>
  const worked = data?.worked
  const pay = worked && (worked.cost.to_pay ?? worked.cost.to_buy)
  const remove = async () => {
    const current = await api.GET("/occasions/{id}", { params: { path: { id } } })
    if (current.data) await api.DELETE("/occasions/{id}", { params: { path: { id }, query: { version: current.data.version } } })
    await queries.invalidateQueries({ queryKey: ["occasions"] })
    void navigate("/occasions")
  }
  return (
    <Page title={said.name} units={said.units} onUnits={(units) => keep({ ...said, units })}>
      <main className="mx-auto max-w-6xl px-4 py-3 sm:px-6">
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
          <h1><input aria-label="Name of the occasion" className="w-80 max-w-full border-b border-transparent bg-transparent font-display text-2xl font-bold hover:border-base-300 focus:border-base-content" value={said.name} onChange={(event) => keep({ ...said, name: event.target.value })} /></h1>
          <span role="status" className="text-sm text-quiet">{occasion.saving}</span>
          <span className="no-print ml-auto flex flex-wrap gap-2">
            <a className="plain-button" href={`/api/occasions/${id}/sheet.pdf?paper=${said.units === "in" ? "letter" : "a4"}`} download>PDF</a>
            <a className="plain-button" href={`/api/occasions/${id}/sheet.csv`} download>CSV</a>
            {worked?.dates && <a className="plain-button" href={`/api/occasions/${id}/days.ics`} download>Calendar</a>}
          </span>
        </div>
        {worked && (
          <dl className="flex flex-wrap gap-x-10 gap-y-2 border-b border-base-300 py-3">
            <Figure figure={String(worked.quantity)} says={worked.quantity === 1 ? "wreath" : "wreaths"} />
            <Figure figure={pay!} says={worked.budget ? worked.budget.says : "to pay"} bad={worked.budget?.kept === false} />
            <Figure figure={worked.saving.saved} says={worked.saving.worse ? "more than one by one" : `saved over the ${worked.saving.one_by_one} of one by one`} />
            <Figure figure={hoursText(worked.minutes)} says="at the bench" />
            {worked.dates && <Figure figure={dayText(worked.dates.buy_by)} says="the last day to buy" />}
          </dl>
        )}
        {data?.problems.map((problem) => <p key={problem.at + problem.says} role="alert" className="pt-2 font-semibold text-error"><Prose>{problem.says}</Prose></p>)}
        {worked?.findings.filter(({ code }) => code !== "over_budget").map((finding) => <p key={finding.code} className={`my-2 border-l-4 pl-3 ${finding.level === "stop" ? "border-error font-semibold" : finding.level === "warn" ? "border-primary" : "border-base-300 text-quiet"}`}>{finding.says}</p>)}
        <div className="no-print py-3"><OpenChoice label="Part" name="view" value={view} choices={views} onChange={(next) => setView(next as View)} /></div>
        {view === "days" && <Days occasion={occasion} worked={worked} />}
        {view === "wreaths" && <Wreaths chosen={occasion.wreaths} onGather={(wreaths) => void occasion.gather(wreaths)} />}
        {view === "buy" && worked && <Buying worked={worked} />}
        {view === "cut" && worked && <Cutting worked={worked} occasion={occasion} />}
        <p className="no-print pt-6"><button type="button" className="link-button text-sm text-quiet" onClick={() => void remove()}>Delete this occasion; its wreaths stay</button></p>
      </main>
    </Page>
  )
}

function Figure({ figure, says, bad }: { figure: string; says: string; bad?: boolean }) {
  return (
    <div className="flex flex-col-reverse">
      <dt className={`text-sm ${bad ? "font-semibold text-error" : "text-quiet"}`}>{says}</dt>
      <dd className="font-display text-2xl font-bold">{figure}</dd>
    </div>
  )
}

type Worked = NonNullable<NonNullable<ReturnType<typeof useWorkedOccasion>["data"]>["worked"]>

function Days({ occasion, worked }: { occasion: ReturnType<typeof useOccasion>; worked?: Worked }) {
  const declarations = useDeclarations().data
  const declared = declarations?.occasion ?? []
  const { said, keep, problems } = occasion
  if (!said) return null
  const own = said.occasion as Record<string, unknown>
  const change = (name: string, value: unknown) => {
    const { [name]: _, ...rest } = own
    keep({ ...said, occasion: value === undefined ? rest : { ...rest, [name]: value } })
  }
  const control = (name: string) => {
    const field = declared.find((each) => each.name === name) as Field | undefined
    const problem = problems.find((each) => each.at === name)?.says
    if (!field) return null
    if (field.kind === "day") {
      return (
        <div className="row">
          <label htmlFor={`occasion-${name}`}>{field.label}</label>
          <input id={`occasion-${name}`} type="date" className="field-input !w-44" value={String(own[name] ?? "")} onChange={(event) => change(name, event.target.value || undefined)} />
          {problem && <p role="alert" className="col-span-2 text-sm font-semibold text-error">{problem}</p>}
        </div>
      )
    }
    return <FieldControl field={field} place={name} value={own[name]} problem={problem} fallback={field.default === undefined ? undefined : String(field.default)} onChange={(value) => change(name, value)} />
  }
  return (
    <div className="grid gap-8 lg:grid-cols-2">
      <section aria-label="When there is time">
        {control("day")}
        {control("budget")}
        <Evenings field={declared.find((each) => each.name === "evenings")} value={(own.evenings as string[] | undefined) ?? []} onChange={(value) => change("evenings", value)} />
        {control("hours")}
        {control("drying")}
        {control("delivery")}
        <MoneyTerms fields={declarations?.money ?? []} money={own.money as Record<string, unknown> | undefined} problems={problems} onChange={(money) => change("money", money)} />
      </section>
      <section aria-label="Days">
        {worked?.waiting && <p className="mb-3 border-l-4 border-primary pl-3">{worked.waiting.says} <span className="text-sm text-quiet">Sale weeks are those of the simulated shop.</span> {worked.waiting.in_time && <button type="button" className="plain-button" onClick={() => change("money", { ...(own.money as object | undefined), sale: true })}>Buy at sale prices</button>}</p>}
        {!worked?.dates && <p className="text-quiet">Say which day they hang, and the days to buy, to begin and to be done are worked out.</p>}
        {worked?.dates && (
          <ol>
            <Day day={worked.dates.buy_by} says="Buy by" strong />
            {worked.dates.evenings.map((evening) => <Day key={evening.day} day={evening.day} says={`Bench, ${hoursText(evening.minutes)}`} />)}
            <Day day={worked.dates.make_by} says="Everything made" strong />
            <Day day={worked.dates.day} says="They hang" strong />
          </ol>
        )}
      </section>
    </div>
  )
}

function Day({ day, says, strong }: { day: string; says: string; strong?: boolean }) {
  return <li className={`flex justify-between border-b border-base-300 py-1 ${strong ? "font-semibold" : "pl-4"}`}><span>{says}</span><time dateTime={day}>{dayText(day, true)}</time></li>
}

function Wreaths({ chosen, onGather }: { chosen: number[]; onGather: (ids: number[]) => void }) {
  const wreaths = useWreaths().data ?? []
  return (
    <section aria-label="Wreaths">
      <p className="pb-2 text-quiet">Those ticked hang on this day.</p>
      <ul className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
        {wreaths.map((wreath: Wreath) => (
          <li key={wreath.id} className="flex min-h-11 items-center gap-3 border-b border-base-300">
            <input id={`hangs-${wreath.id}`} type="checkbox" className="checkbox checkbox-sm" checked={chosen.includes(wreath.id)} onChange={(event) => onGather(event.target.checked ? [...chosen, wreath.id] : chosen.filter((each) => each !== wreath.id))} />
            <label htmlFor={`hangs-${wreath.id}`} className="flex-1">{wreath.name}{(wreath.plan.quantity ?? 1) > 1 && ` × ${wreath.plan.quantity}`}</label>
            <Link className="text-sm underline" to={`/wreaths/${wreath.id}/cover`} aria-label={`Open ${wreath.name}`}>Open</Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

function Buying({ worked }: { worked: Worked }) {
  const stash = useStash(worked.units).data ?? []
  const says = (id: string) => {
    const own = stash.find((each) => each.material.id === id)
    return (own?.material.offers ?? []).map((offer, index) => offerSays(offer, `offers.${index}`, own!.lengths))
  }
  return (
    <section aria-label="Buy" className="grid gap-x-10 lg:grid-cols-2">
      <div><h2 className="text-lg">To buy</h2>{worked.materials.filter((material) => material.buy.length > 0 || material.short > 0).map((material) => <Purchase key={material.id} material={material} says={says(material.id)} />)}</div>
      <div>
        <Working lines={worked.cost_working} caption="The money" />
        {worked.materials.some((material) => material.buy.length === 0 && material.short === 0) && <h2 className="pt-4 text-lg">In hand and enough</h2>}
        <ul>{worked.materials.filter((material) => material.buy.length === 0 && material.short === 0).map((material) => <li key={material.id} className="border-b border-base-300 py-1.5">{material.name}</li>)}</ul>
      </div>
    </section>
  )
}

function Cutting({ worked, occasion }: { worked: Worked; occasion: ReturnType<typeof useOccasion> }) {
  const stash = useStash(worked.units).data ?? []
  const groups = worked.materials.map((material) => ({ material, bars: worked.cut_sheet.filter((bar) => bar.material === material.id) })).filter(({ bars }) => bars.length > 0)
  return (
    <section aria-label="Cut">
      {occasion.refused && <p role="alert" className="font-semibold text-error">{occasion.refused}</p>}
      <p className="no-print flex flex-wrap items-center gap-3 pb-3">
        {occasion.cut
          ? <><span className="font-semibold text-secondary">Cut: the material of all of them is out of the stash, the remnants are in it.</span><button type="button" className="plain-button" onClick={() => void occasion.settle()}>Take it back</button></>
          : groups.length > 0 && <><button type="button" className="amber-button" onClick={() => void occasion.settle(worked.cut_sheet)}>I cut it all</button><span className="text-sm text-quiet">Takes these lengths out of the stash for every wreath of the day.</span></>}
        <span className="text-sm text-quiet">{occasion.ticks.length} of {worked.cut_sheet.length} ticked</span>
        {occasion.alreadyCut > 0 && <span className="text-sm text-quiet">{occasion.alreadyCut} {occasion.alreadyCut === 1 ? "wreath was" : "wreaths were"} cut already and {occasion.alreadyCut === 1 ? "is" : "are"} not on this sheet.</span>}
      </p>
      <div className="grid gap-x-10 lg:grid-cols-2">
      {groups.map(({ material, bars }) => (
        <div key={material.id} className="min-w-0 pb-4">
          <h2 className="text-lg">{material.name}</h2>
          <p className="text-sm text-quiet">{count(bars)} {opened(material.kind, count(bars))} opened. {material.optimal ? "Nobody could buy less for it." : `At least ${material.bound} whatever one does.`}</p>
          <ul>{bars.map((bar) => <CutLength key={bar.id} bar={bar} longest={Math.max(...bars.map((each) => each.length))} material={stash.find((each) => each.material.id === material.id)?.material} ticked={occasion.ticks.includes(bar.id)} onTick={(made) => void occasion.tick(bar.id, made)} />)}</ul>
        </div>
      ))}
      </div>
    </section>
  )
}
