import type { Context } from '../context'
import { CoreError } from '../errors'
import { generatorPhrases, standSetting } from '../handsfree'
import { type PhraseName, plainBook, type SpokenKind, spokenKindOf, type Spoken } from '../link'
import type { RadioSet, RoleId } from '../review'
import type { GeneratorSet, RadioAs } from '../station'
import type { Step } from '../step'
import { askNow, type ScpiInstrument, virtualBench, type VirtualRadio, type VirtualStand } from '../virtual'
import { DEMO_SEED, demoRadio } from './truth/demoRadio'

/** What a radio does while something is read. */
export interface DoesWhile {
  radio: RadioAs
  /** How long it has been keyed, s. */
  forS?: number
  /** Another level than the step’s. */
  levelId?: string
  /** What it makes in place of what it otherwise would, dBm: two tones, a sideband. */
  makesDbm?: number
}

/** The virtual bench the demo is read on: its radios are those of the scenario, the rest is its seed’s. */
export class DemoStand {
  private readonly stands = new Map<string, VirtualStand>()
  private readonly begun = new Set<ScpiInstrument>()
  private now: { step: Step; does: DoesWhile } | null = null
  private readonly bench

  constructor(
    readonly context: Context,
    sets: readonly RadioSet[],
  ) {
    const radios = new Map(sets.map(set => [set.id, demoRadio(set)]))
    this.bench = virtualBench(DEMO_SEED, { radio: id => this.radioNow(radios.get(id)!) })
  }

  /** What the bench burnt and broke while the demo was read. */
  damage(): readonly string[] {
    return this.bench.damage()
  }

  /** Asks what stands in a role for numbers. */
  askAt(step: Step, role: RoleId, asked: { does: DoesWhile; phrase: PhraseName; values?: Spoken }): number[] {
    const chain = this.context.chain(step.chains[role] ?? null)
    const instrument = chain && this.context.instrument(chain.instrumentId)
    const kind = instrument && spokenKindOf(instrument)
    if (!kind)
      throw new CoreError('unknown-id', `Nothing answers at ${step.id}.`, { kind: 'chain', id: role })
    return this.ask(step, { role, kind }, asked)
  }

  /** Asks an instrument that stands in no chain. */
  askKind(
    step: Step,
    kind: SpokenKind,
    asked: { does: DoesWhile; phrase: PhraseName; values?: Spoken },
  ): number {
    return this.ask(step, { role: kind, kind }, asked)[0]!
  }

  /** Segments of its power display that light up while it is keyed on a level. */
  bar({ set, channel, claim }: Step, levelId: string): number {
    const claimedW = claim.kind === 'watts' ? claim.powerW : 0
    return this.bench.radio(set.id).barOfTen({ carrierHz: channel.frequencyHz, claimedW, levelId })
  }

  /** Turns a generator to where it is to stand, and on. */
  turn(step: Step, set: GeneratorSet): void {
    for (const { name: phrase, values } of generatorPhrases(plainBook('signal-generator'), set))
      this.askAt(step, set.role, { does: { radio: 'squelch-open' }, phrase, values })
  }

  /** Turns generators off. */
  off(step: Step, ...roles: RoleId[]): void {
    for (const role of roles) this.askAt(step, role, { does: { radio: 'squelched' }, phrase: 'output-off' })
  }

  private ask(
    step: Step,
    { role, kind }: { role: RoleId; kind: SpokenKind },
    { does, phrase, values }: { does: DoesWhile; phrase: PhraseName; values?: Spoken },
  ): number[] {
    this.now = { step, does }
    const instrument = this.standOf(step.set.id).instrument(role, kind)
    const book = plainBook(kind)
    if (!this.begun.has(instrument)) for (const line of book.begin) instrument.receive(line)
    this.begun.add(instrument)
    return askNow(instrument, { book, name: phrase, values })
  }

  private standOf(setId: string): VirtualStand {
    const known = this.stands.get(setId) ?? this.bench.stand(setId, () => this.setting())
    this.stands.set(setId, known)
    return known
  }

  private setting() {
    const { step, does } = this.now!
    const setting = standSetting(step, this.context, { does: does.radio, keyedForS: does.forS ?? 0 })
    const { radio } = setting
    if (radio.is !== 'keyed' || does.levelId === undefined) return setting
    return { ...setting, radio: { ...radio, keyed: { ...radio.keyed, levelId: does.levelId } } }
  }

  private radioNow(radio: VirtualRadio): VirtualRadio {
    const makesDbm = this.now?.does.makesDbm
    return makesDbm === undefined ? radio : { ...radio, carrierDbm: () => makesDbm }
  }
}
