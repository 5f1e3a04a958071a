import type { Chain, Instrument } from '../chain'
import type { Context } from '../context'
import { CoreError } from '../errors'
import { levelQuestion } from '../link'
import { parseLevel, wattsFromDbm } from '../quantity'
import type {
  ClipHead,
  CurveKind,
  CurvePoints,
  Reading,
  ReadingSource,
  Review,
  ReviewBundle,
  SeenFigure,
  SeenLevel,
} from '../review'
import { chainIdOf, INSTRUMENT_ROLE, readThrough, readWith, seenFigure, seenLevel, type Step } from '../step'
import { AUDIO } from '../station'
import { wavOf } from '../sound'
import { type SimulatedVoice, simulatedVoice } from '../virtual'
import { type DoesWhile, DemoStand } from './demoStand'
import { decibelText, generatorSeen } from './shownLevel'

const SECONDS_PER_READING = 41
const SECONDS_PER_FIGURE = 19
const WHO = 'Demo bench'
const AMBIENT_C = 18
const CLIP = { sampleRateHz: 8000, seconds: 2.5 } as const
const FILE_NAME = 'made for the demo'

/** When the demo’s first reading was taken. */
export const DEMO_BEGAN = '2026-11-14T09:12:00.000Z'

/** A level as the demo’s bench shows it, about to be kept. */
interface ShownLevel {
  slot: string
  text: string
  frequencyHz: number
  bareUnit: 'W' | 'dBm'
  /** What a trace adds: its floor, its doubts, the level to all digits. */
  trace?: Partial<SeenLevel>
  source?: ReadingSource
}

/** A figure as the demo sees it, about to be kept. */
export type ShownFigure = { text: string; curveId?: string } & Pick<SeenFigure, 'value' | 'unit'> &
  Partial<SeenFigure>

/** SINAD as the demo hears it, with what its generators were set to, dBm. */
interface ShownSinad {
  value: number
  setDbm: Readonly<Record<string, number>>
  standardUncertainty?: number
}

/** A generator's level as the demo reads it. */
interface ShownGenerator {
  role: string
  levelDbm: number
  setDbm?: Readonly<Record<string, number>>
}

/** Takes the demo's readings one after another: instruments of a virtual bench are asked, and shown as they show. */
export class DemoTaker {
  readonly readings: Reading[] = []
  readonly traces: Review['traces'] = []
  readonly curves: Review['curves'] = []
  readonly keyDowns: Review['keyDowns'] = []
  readonly notes: Review['notes'] = []
  readonly clips: Review['clips'] = []
  readonly clipSounds: ReviewBundle['clips'] = new Map()
  readonly tracePoints: ReviewBundle['traces'] = new Map()
  readonly curvePoints: ReviewBundle['curves'] = new Map()
  readonly stand: DemoStand
  private levels = 0
  private figures = 0

  constructor(
    readonly context: Context,
    sets: Review['sets'],
  ) {
    this.stand = new DemoStand(context, sets)
  }

  /** What the instrument of a step shows at a frequency, dBm; null where it does not reach. */
  shown(step: Step, frequencyHz: number, does: DoesWhile): number | null {
    const { instrument } = this.benchOf(step)
    if (frequencyHz < instrument.fromHz || frequencyHz > instrument.toHz) return null
    const { name: phrase, values } = levelQuestion(instrument, frequencyHz)
    return this.stand.askAt(step, INSTRUMENT_ROLE, { does, phrase, values })[0]!
  }

  /** Reads a level in a slot, in watts from a meter, in dBm from an analyser. */
  level(step: Step, slot: string, does: DoesWhile): void {
    const frequencyHz = step.slots.find(({ id }) => id === slot)?.frequencyHz ?? step.channel.frequencyHz
    const seen = this.shown(step, frequencyHz, does)
    if (seen === null) return
    const inWatts = this.benchOf(step).instrument.kind === 'power-meter'
    this.keepLevel(step, {
      slot,
      text: inWatts ? wattsFromDbm(seen).toFixed(2) : decibelText(seen),
      frequencyHz,
      bareUnit: inWatts ? 'W' : 'dBm',
    })
  }

  keepLevel(step: Step, shown: ShownLevel): void {
    const read = parseLevel(shown.text, { bareUnit: shown.bareUnit })
    const through = readThrough(step, INSTRUMENT_ROLE, this.context)
    if (!read.ok || !through)
      throw new CoreError('bad-review', `The demo reading “${shown.text}” cannot be read.`, {
        why: read.ok ? 'no chain' : read.message,
      })
    this.levels += 1
    this.readings.push({
      id: `demo-${this.levels}`,
      ...this.placeOf(step, shown.slot),
      text: shown.text,
      seen: seenLevel(read, { frequencyHz: shown.frequencyHz, ...shown.trace }),
      ...through,
      at: this.now(),
      source: shown.source ?? { kind: 'demo' },
    })
  }

  /** SINAD of what came out of the speaker while generators were set to levels. */
  heard(step: Step, slot: string, { value, setDbm, standardUncertainty = 0.3 }: ShownSinad): void {
    const rounded = Number(value.toFixed(1))
    this.figures += 1
    this.readings.push({
      id: `demo-figure-${this.figures}`,
      ...this.placeOf(step, slot),
      text: decibelText(rounded),
      seen: seenFigure({ value: rounded, unit: 'dB', resolution: 0.1, standardUncertainty }),
      ...this.throughRoles(step, [AUDIO, ...Object.keys(setDbm)]),
      applied: this.appliedTo(step, setDbm),
      at: this.now(),
      source: { kind: 'demo' },
    })
  }

  /** A level a generator was turned to, until something happened. */
  generatorLevel(step: Step, slot: string, { role, levelDbm, setDbm = {} }: ShownGenerator): void {
    const rounded = Number(levelDbm.toFixed(1))
    const frequencyHz = step.slots.find(({ id }) => id === slot)?.frequencyHz ?? step.channel.frequencyHz
    this.levels += 1
    this.readings.push({
      id: `demo-${this.levels}`,
      ...this.placeOf(step, slot),
      text: decibelText(rounded),
      seen: generatorSeen(rounded, frequencyHz),
      ...this.throughRoles(step, [role, ...Object.keys(setDbm)]),
      applied: this.appliedTo(step, setDbm),
      at: this.now(),
      source: { kind: 'demo' },
    })
  }

  private appliedTo(step: Step, setDbm: Readonly<Record<string, number>>): Reading['applied'] {
    return Object.fromEntries(
      Object.entries(setDbm).map(([role, level]) => [
        role,
        generatorSeen(Number(level.toFixed(1)), step.channel.frequencyHz),
      ]),
    )
  }

  /** What the first of several roles was read with, and the ways through all of them. */
  private throughRoles(step: Step, roles: readonly string[]) {
    const ways = roles.flatMap(role => readThrough(step, role, this.context) ?? [])
    const through: Reading['through'] = Object.assign({}, ...ways.map(way => way.through))
    return { instrumentId: ways[0]?.instrumentId ?? null, through }
  }

  figure(step: Step, slot: string, { text, curveId, ...seen }: ShownFigure): void {
    this.figures += 1
    this.readings.push({
      id: `demo-figure-${this.figures}`,
      ...this.placeOf(step, slot),
      text,
      seen: seenFigure(seen),
      ...readWith(step, seen.unit, this.context, step.slots.find(({ id }) => id === slot)?.role ?? null),
      at: this.now(),
      source:
        curveId === undefined
          ? { kind: 'demo' }
          : { kind: 'recording', fileName: FILE_NAME, sha256: '', curveIds: [curveId] },
    })
  }

  /** Keeps a curve; its id. */
  curve(step: Step, kind: CurveKind, points: CurvePoints, words: string): string {
    const id = `demo-curve-${this.curves.length + 1}`
    this.curves.push({
      id,
      setId: step.set.id,
      stepId: step.id,
      kind,
      fileName: FILE_NAME,
      words,
      rows: 0,
      at: this.now(),
    })
    this.curvePoints.set(id, points)
    return id
  }

  keyDown(step: Step, hold: { seconds: number; powerW: number }): void {
    this.keyDowns.push({
      id: `demo-down-${this.keyDowns.length + 1}`,
      setId: step.set.id,
      stepId: step.id,
      chainId: chainIdOf(step),
      at: this.now(),
      ...hold,
    })
  }

  note(step: Step, text: string): void {
    this.notes.push({
      id: `demo-note-${this.notes.length + 1}`,
      setId: step.set.id,
      stepId: step.id,
      text,
      at: this.now(),
      who: WHO,
    })
  }

  /** Keeps a clip of a simulated voice. */
  clip(
    step: Step,
    voice: Omit<SimulatedVoice, 'sampleRateHz' | 'seconds'>,
    said: Pick<ClipHead, 'words' | 'loudnessLufs'>,
  ): void {
    const id = `clip-${step.set.id}`
    const sound = wavOf(simulatedVoice({ ...voice, ...CLIP }), CLIP.sampleRateHz)
    this.clips.push({
      ...{ id, setId: step.set.id, stepId: step.id, name: FILE_NAME, sounds: 'heard', ...said },
      ...{ ...CLIP, bytes: sound.bytes, at: this.now(), who: WHO },
    })
    this.clipSounds.set(id, sound.dataUrl)
  }

  /** Chain and instrument of a step. */
  benchOf(step: Step): { chain: Chain; instrument: Instrument } {
    const chain = this.context.chain(chainIdOf(step))
    const instrument = chain && this.context.instrument(chain.instrumentId)
    if (chain && instrument) return { chain, instrument }
    throw new CoreError('unknown-id', `The demo has no chain for ${step.id}.`, {
      kind: 'chain',
      id: chainIdOf(step) ?? '',
    })
  }

  now(): string {
    const spentS = this.levels * SECONDS_PER_READING + this.figures * SECONDS_PER_FIGURE
    return new Date(Date.parse(DEMO_BEGAN) + spentS * 1000).toISOString()
  }

  private placeOf(step: Step, slot: string) {
    return {
      setId: step.set.id,
      stationId: step.stationId,
      stepId: step.id,
      slot,
      applied: {},
      supply: step.set.supplyNow,
      ambientC: AMBIENT_C,
      who: WHO,
      supersedes: null,
    }
  }
}
