/** What became of something that was sent to be kept. */
export type Outcome<Answer> =
  | { kind: "kept"; answer: Answer }
  /** Somebody else saved first; nothing was overwritten. */
  | { kind: "conflict"; theirs: Answer }
  /** It cannot be kept as it is; sending it again would not help. */
  | { kind: "refused"; error: unknown }
  /** Nobody answered. */
  | { kind: "away" }

export type Saving = "saved" | "waiting" | "saving" | "away" | "conflict" | "refused"

export interface Ways<Change, Answer> {
  /** Sends one change, or several joined into one. */
  send: (change: Change) => Promise<Outcome<Answer>>
  /** Sends without waiting for an answer: the page is going. `underWay` says that one before has no answer yet. */
  sendLast: (change: Change, underWay: boolean) => void
  /** Two changes, one after the other, as one. A document's later state replaces the earlier one. */
  join?: (before: Change, after: Change) => Change
  /** Whether what is there is this very change: it arrived, and only its answer was lost. */
  holds?: (theirs: Answer, change: Change) => boolean
  /** Called with every answer to what was sent, whatever it is. */
  onOutcome?: (outcome: Outcome<Answer>, sent: Change) => void
  onSaving?: (saving: Saving) => void
  /** How long a change rests before it is sent, in milliseconds. */
  pause?: number
  /** How long until it is tried again after nobody answered. */
  retry?: number
}

const PAUSE = 500
const RETRY = 4000

/**
 * Keeps what is changed on a screen, by itself: a moment after a change, one request at a time. When nobody
 * answers it goes on trying with the latest; when somebody else saved first it waits until the maker has chosen,
 * and loses neither; when the page is left it sends what is left.
 */
export class Keeper<Change, Answer> {
  /** What is still to be sent, joined into one; none or one. */
  private waiting: Change[] = []
  /** What was sent and never answered; it may have arrived. */
  private unanswered: Change[] = []
  private underWay = false
  private held = false
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(private ways?: Ways<Change, Answer>) {}

  /** From now on it sends, joins and tells like this. */
  goBy(ways: Ways<Change, Answer>) {
    this.ways = ways
  }

  /** Notes a change; it is sent when nothing more was changed for a moment. */
  change(change: Change) {
    this.wait([...this.waiting, change])
    if (this.held) return
    this.say("waiting")
    this.later(this.ways?.pause ?? PAUSE)
  }

  /** Whether nothing is to be sent, on its way, or waiting for the maker to choose. */
  get idle() {
    return this.waiting.length === 0 && !this.underWay && !this.held
  }

  /** Somebody else saved first, before this screen was there: what was changed waits until the maker has chosen. */
  hold(change: Change) {
    this.held = true
    this.wait([change])
    this.say("conflict")
  }

  /** Sends what waits; done when all of it is kept, or when it cannot be for now. */
  async flush(): Promise<void> {
    clearTimeout(this.timer)
    while (this.ways && this.waiting.length > 0 && !this.underWay && !this.held) {
      if (!(await this.sendOnce(this.ways))) return
    }
  }

  /** The page is going: what waits is sent, and nobody waits for an answer. What waits for the maker stays. */
  leave() {
    clearTimeout(this.timer)
    const [last] = this.waiting
    if (last === undefined || this.held) return
    this.ways?.sendLast(last, this.underWay)
    this.waiting = []
  }

  /** After a conflict: the maker has chosen, and saving goes on with this; with nothing, there is nothing to save. */
  resume(change?: Change) {
    this.held = false
    this.waiting = []
    if (change === undefined) this.say("saved")
    else this.change(change)
  }

  /** @returns whether it may go on with what waits now */
  private async sendOnce(ways: Ways<Change, Answer>): Promise<boolean> {
    const sent = this.waiting[0] as Change
    this.waiting = []
    this.underWay = true
    this.say("saving")
    const answer = await ways.send(sent).catch((): Outcome<Answer> => ({ kind: "away" }))
    this.underWay = false
    const outcome = this.ownAfterAll(ways, answer, sent)
    this.settle(outcome, sent)
    this.ways?.onOutcome?.(outcome, sent)
    return outcome.kind === "kept" || outcome.kind === "refused"
  }

  /** Whoever was first may have been this very screen, a moment ago: then there is no conflict. */
  private ownAfterAll(ways: Ways<Change, Answer>, outcome: Outcome<Answer>, sent: Change): Outcome<Answer> {
    if (outcome.kind !== "conflict") return outcome
    const own = this.unanswered.find((change) => ways.holds?.(outcome.theirs, change))
    if (own === undefined) return outcome
    if (own !== sent) this.wait([sent, ...this.waiting])
    return { kind: "kept", answer: outcome.theirs }
  }

  private settle(outcome: Outcome<Answer>, sent: Change) {
    this.unanswered = outcome.kind === "away" ? [...this.unanswered, sent] : []
    if (outcome.kind === "kept") return this.say(this.waiting.length > 0 ? "waiting" : "saved")
    if (outcome.kind === "refused") return this.say("refused")
    this.wait([sent, ...this.waiting])
    this.say(outcome.kind)
    if (outcome.kind === "conflict") this.held = true
    else this.later(this.ways?.retry ?? RETRY)
  }

  private wait(changes: Change[]) {
    const join = this.ways?.join ?? ((_: Change, after: Change) => after)
    this.waiting = changes.length > 0 ? [changes.reduce(join)] : []
  }

  private later(milliseconds: number) {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => void this.flush(), milliseconds)
  }

  private say(saving: Saving) {
    this.ways?.onSaving?.(saving)
  }
}
