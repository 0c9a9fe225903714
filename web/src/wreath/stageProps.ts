import type { ChangePlan, Declarations, Plan, Problem, WorkedPlan } from "../keep/client"

/** What every stage of a wreath is given. */
export interface StageProps {
  plan: Plan
  /** The last good answer; it may be older than the plan while the plan has problems. */
  worked?: WorkedPlan
  problems: Problem[]
  declarations: Declarations
  onChange: ChangePlan
  /** Says which size or string the maker is at, so that the drawing can show where the tape goes. */
  onMeasure: (place: string | undefined) => void
  /** Says which layer the maker is at. */
  onAtHand: (layer: string | undefined) => void
  id: number
  /** Whether the material was taken out of the stash, and which cuts are made. */
  bench: { cut: boolean; ticks: string[]; made: number; at_bench?: boolean }
  onTick: (place: string, done: boolean) => unknown
  /** Takes what the sheet says out of the stash; without one, puts it back. */
  onStash: (sheet?: WorkedPlan["cut_sheet"]) => unknown
  /** What was bought a moment ago, by the number that takes it back. */
  bought?: number
  /** Puts what has to be bought into the stash, or only these materials; or takes back what was. False when refused. */
  onBuy: (back?: number, only?: string[]) => Promise<boolean>
  refused: string
}
