import besselj0 from '@stdlib/math-base-special-besselj0'
import { dbmFromWatts } from '../quantity'
import type { CurveHead, CurveKind, CurvePoints, FigureReading, KeyDown, StepNote } from '../review'
import { LOG_MOMENTS_S, readWith, stationById, type StationContext, type Step } from '../station'
import type { DemoBench } from './demoReview'

/** What the invented radios do besides power and harmonics. All figures invented. */
interface MoreTruth {
  /** Peak deviation with a normal tone, with the loudest voice, of the tone squelch, Hz. */
  deviationHz?: [tone: number, loudest: number, toneSquelch: number]
  /** Frequency error cold and warm, Hz. */
  errorHz?: [cold: number, warm: number]
  /** Occupied bandwidth, Hz, and the neighbours below and above, dBc. */
  bandwidth?: [obwHz: number, lowerDbc: number, upperDbc: number]
  /** Carrier and ×2 to ×5 off the air at the fixed place, dBm. */
  offAirDbm?: number[]
  /** Fall over five minutes, dB, and its time constant, s. */
  droop?: [fallDb: number, tauS: number]
}

const MORE: Record<string, MoreTruth> = {
  'trek-a': {
    deviationHz: [1490, 2380, 330],
    errorHz: [-212, -164],
    bandwidth: [8310, -64.2, -63.8],
    offAirDbm: [-21.4, -58.2, -66.1, -79, -81.5],
    droop: [-0.38, 70],
  },
  'trek-b': {
    deviationHz: [1620, 2710, 340],
    errorHz: [118, 171],
    bandwidth: [9120, -59.1, -58.4],
    offAirDbm: [-20.9, -39.8, -52.4, -70.1, -80.2],
    droop: [-0.71, 95],
  },
  tarnwick: { deviationHz: [1350, 2130, 0], errorHz: [402, 355], bandwidth: [6910, -51, -50.2] },
  c1: {
    deviationHz: [1500, 2330, 350],
    errorHz: [-38, -21],
    bandwidth: [8120, -68.4, -68.9],
    offAirDbm: [-20.2, -64.8, -74.9, -83, -84],
  },
}

const AMBIENT_DBM = [-86, -84, -85, -86, -86]

/** Figures, curves, key-downs and notes of the demo. */
export interface DemoFigures {
  figures: FigureReading[]
  curves: CurveHead[]
  points: Map<string, CurvePoints>
  keyDowns: KeyDown[]
  notes: StepNote[]
}

/** Reads what the invented radios do at the further stations, on their first band. */
export function demoFigures(context: StationContext, bench: DemoBench): DemoFigures {
  const found: DemoFigures = { figures: [], curves: [], points: new Map(), keyDowns: [], notes: [] }
  const keeper = new FigureKeeper(found, context, bench)
  for (const set of context.review.sets) {
    const truth = MORE[set.id]
    const first = (stationId: string): Step | undefined => stationById(stationId).plan(set, context)[0]
    if (truth) keeper.readAll(first, truth)
    const sideband = set.id === 'tarnwick' ? first('two-tone') : undefined
    if (sideband) keeper.readTwoTone(sideband)
  }
  const power = stationById('carrier-power').plan(
    context.review.sets.find(({ id }) => id === 'pellworth')!,
    context,
  )[1]
  if (power) {
    keeper.keep(power, 'supply-v', { text: '13.6', value: 13.6, unit: 'V', resolution: 0.1 })
    keeper.keep(power, 'supply-a', { text: '4.9', value: 4.9, unit: 'A', resolution: 0.1 })
  }
  return found
}

interface Seen {
  text: string
  value: number
  unit: FigureReading['unit']
  resolution: number
  isUpperBound?: boolean
  standardUncertainty?: number
  method?: string
}

class FigureKeeper {
  private clockS = 0

  constructor(
    private readonly found: DemoFigures,
    private readonly context: StationContext,
    private readonly bench: DemoBench,
  ) {}

  readAll(first: (stationId: string) => Step | undefined, truth: MoreTruth): void {
    const [time, offAir, deviation, frequency, bandwidth] = [
      'power-over-time',
      'off-air',
      'deviation',
      'frequency',
      'bandwidth',
    ].map(first)
    if (time && truth.droop) this.readLog(time, truth.droop)
    if (offAir && truth.offAirDbm) this.readOffAir(offAir, truth.offAirDbm)
    if (deviation && truth.deviationHz) this.readDeviation(deviation, truth.deviationHz)
    if (frequency && truth.errorHz) this.readFrequency(frequency, truth.errorHz)
    if (bandwidth && truth.bandwidth) this.readBandwidth(bandwidth, truth.bandwidth)
  }

  private readLog(step: Step, [fallDb, tauS]: [number, number]): void {
    const startDbm =
      step.claim.kind === 'watts'
        ? dbmFromWatts(step.claim.powerW) + (step.set.id === 'trek-a' ? -0.32 : 0.12)
        : 37
    for (const atS of LOG_MOMENTS_S)
      this.bench.readLevel(step, `t${atS}`, startDbm + fallDb * (1 - Math.exp(-atS / tauS)))
    this.keep(step, 'battery-start', { text: '8.32', value: 8.32, unit: 'V', resolution: 0.01 })
    this.keep(step, 'battery-end', {
      text: step.set.id === 'trek-a' ? '7.94' : '7.71',
      value: step.set.id === 'trek-a' ? 7.94 : 7.71,
      unit: 'V',
      resolution: 0.01,
    })
    this.keep(step, 'case-start', { text: '19', value: 19, unit: '°C', resolution: 1 })
    this.keep(step, 'case-end', {
      text: step.set.id === 'trek-a' ? '41' : '47',
      value: step.set.id === 'trek-a' ? 41 : 47,
      unit: '°C',
      resolution: 1,
    })
    this.found.keyDowns.push({
      id: `demo-down-${this.found.keyDowns.length + 1}`,
      setId: step.set.id,
      stepId: step.id,
      chainId: step.chainId,
      at: this.now(),
      seconds: 300,
      powerW: step.claim.kind === 'watts' ? step.claim.powerW : 5,
    })
    if (step.set.id === 'trek-b')
      this.found.notes.push({
        id: 'demo-note-1',
        setId: step.set.id,
        stepId: step.id,
        text: 'Case too warm to hold at the end; the battery had been at 91 % when it began.',
        at: this.now(),
        who: 'Demo bench',
      })
  }

  private readOffAir(step: Step, levels: number[]): void {
    const say = (value: number): Seen => ({
      text: value.toFixed(1).replace('-', '−'),
      value,
      unit: 'dBm',
      resolution: 0.1,
    })
    for (const [i, level] of levels.entries()) {
      this.keep(step, `a${i + 1}`, say(AMBIENT_DBM[i]!))
      this.keep(step, `x${i + 1}`, say(level))
    }
  }

  private readDeviation(step: Step, [toneHz, loudestHz, squelchHz]: [number, number, number]): void {
    const say = (value: number, standardUncertainty: number): Seen => ({
      text: `${(value / 1e3).toFixed(2)} kHz`,
      value,
      unit: 'Hz',
      resolution: 0,
      standardUncertainty,
      method: 'From the demo’s known truth; channel filter ±15 kHz, audio low-pass 15 kHz.',
    })
    const curve = this.keepCurve(
      step,
      'deviation',
      deviationOverTime(toneHz, loudestHz),
      'Ten seconds: 1 kHz, then voice.',
    )
    this.keep(step, 'tone', say(toneHz, 4), curve)
    this.keep(step, 'loudest', say(loudestHz, 15), curve)
    if (squelchHz > 0) this.keep(step, 'tone-squelch', say(squelchHz, 3), curve)
  }

  private readFrequency(step: Step, [coldHz, warmHz]: [number, number]): void {
    const carrierHz = step.channel.frequencyHz
    for (const [slot, error] of [
      ['cold', coldHz],
      ['warm', warmHz],
    ] as const)
      this.keep(step, slot, {
        text: `${((carrierHz + error) / 1e6).toFixed(6)} MHz`,
        value: carrierHz + error,
        unit: 'Hz',
        resolution: 1,
      })
  }

  private readBandwidth(step: Step, [obwHz, lowerDbc, upperDbc]: [number, number, number]): void {
    const curve = this.keepCurve(
      step,
      'spectrum',
      modulatedSpectrum(step.channel.frequencyHz, { lowerDbc, upperDbc }),
      '938 frames of 2048 samples, 4-term Blackman–Harris window, half overlapping; resolution bandwidth 94.0 Hz.',
    )
    const method = 'From the demo’s known truth; 4-term Blackman–Harris window, resolution bandwidth 94 Hz.'
    this.keep(
      step,
      'obw',
      {
        text: `${(obwHz / 1e3).toFixed(2)} kHz`,
        value: obwHz,
        unit: 'Hz',
        resolution: 0,
        standardUncertainty: 38,
        method,
      },
      curve,
    )
    for (const [slot, value] of [
      ['acp-lower-1', lowerDbc],
      ['acp-upper-1', upperDbc],
      ['acp-lower-2', lowerDbc - 9],
      ['acp-upper-2', upperDbc - 9.4],
    ] as const)
      this.keep(
        step,
        slot,
        {
          text: value.toFixed(1).replace('-', '−'),
          value,
          unit: 'dB',
          resolution: 0,
          standardUncertainty: 0.05,
          method,
        },
        curve,
      )
  }

  readTwoTone(step: Step): void {
    this.bench.readLevel(step, 'pep', dbmFromWatts(10.9))
    this.bench.readLevel(step, 'mean', dbmFromWatts(5.3))
    const curve = this.keepCurve(
      step,
      'spectrum',
      twoToneSpectrum(step.channel.frequencyHz),
      '140 frames of 16384 samples, 4-term Blackman–Harris window, half overlapping; resolution bandwidth 5.9 Hz.',
    )
    for (const [slot, value] of [
      ['imd3', 27.4],
      ['imd5', 38.6],
      ['imd7', 45.1],
      ['imbalance', -0.2],
    ] as const)
      this.keep(
        step,
        slot,
        {
          text: value.toFixed(1).replace('-', '−'),
          value,
          unit: 'dB',
          resolution: 0,
          standardUncertainty: 0.05,
          method: 'From the demo’s known truth; 700 and 1900 Hz, 4-term Blackman–Harris window.',
        },
        curve,
      )
  }

  keep(step: Step, slot: string, seen: Seen, curveId: string | null = null): void {
    this.found.figures.push({
      id: `demo-figure-${this.found.figures.length + 1}`,
      setId: step.set.id,
      stationId: step.stationId,
      stepId: step.id,
      slot,
      isUpperBound: false,
      standardUncertainty: 0,
      noiseAdds: 0,
      method: '',
      ...seen,
      ...readWith(step, seen.unit, this.context),
      supply: step.set.supplyNow,
      ambientC: 18,
      who: 'Demo bench',
      at: this.now(),
      supersedes: null,
      source:
        curveId === null
          ? { kind: 'demo' }
          : { kind: 'recording', fileName: 'made for the demo', sha256: '', curveIds: [curveId] },
    })
  }

  private keepCurve(step: Step, kind: CurveKind, points: CurvePoints, words: string): string {
    const id = `demo-curve-${this.found.curves.length + 1}`
    this.found.curves.push({
      id,
      setId: step.set.id,
      stepId: step.id,
      kind,
      fileName: 'made for the demo',
      words,
      rows: 0,
      at: this.now(),
    })
    this.found.points.set(id, points)
    return id
  }

  private now(): string {
    this.clockS += 19
    return new Date(Date.parse(this.bench.now()) + this.clockS * 1000).toISOString()
  }
}

/** A tone for four seconds, then a voice that reaches its loudest a few times. */
function deviationOverTime(toneHz: number, loudestHz: number): CurvePoints {
  const x = Float64Array.from({ length: 400 }, (_unused, i) => i / 40)
  const size = x.map(t => {
    if (t < 4) return toneHz * (1 - 0.004 * Math.sin(9 * t))
    const syllable =
      Math.max(0, Math.sin(2 * Math.PI * 1.7 * t)) * (0.55 + 0.45 * Math.abs(Math.sin(2.3 * t)))
    return Math.min(loudestHz, 90 + 1.12 * loudestHz * syllable)
  })
  return { x, y: size, y2: size.map(value => -0.97 * value) }
}

/**
 * A voice-modulated carrier and what it leaves beside its channel, dB of full scale over offset from the
 * carrier, Hz.
 */
function modulatedSpectrum(_carrierHz: number, of: { lowerDbc: number; upperDbc: number }): CurvePoints {
  const x = Float64Array.from({ length: 961 }, (_unused, i) => -48_000 + 100 * i)
  const y = x.map((hz, i) => {
    const grain = 2.4 * Math.sin(12.9898 * i) * Math.sin(4.1414 * i)
    const far = (hz < 0 ? of.lowerDbc : of.upperDbc) - 24 - Math.max(0, (Math.abs(hz) - 12_500) / 1400)
    const body =
      -24 - 20 * Math.log10(1 / Math.max(0.06, Math.abs(besselj0(hz / 2600)))) - (Math.abs(hz) / 3100) ** 2.3
    return 10 * Math.log10(10 ** (Math.max(-180, body) / 10) + 10 ** (Math.max(-112, far) / 10)) + grain
  })
  return { x, y, y2: new Float64Array(0) }
}

/** Two tones and their odd products. */
function twoToneSpectrum(_carrierHz: number): CurvePoints {
  const x = Float64Array.from({ length: 1601 }, (_unused, i) => -4000 + 6 * i)
  const lines: [number, number][] = [
    [700, -12],
    [1900, -12.2],
    [-500, -39.5],
    [3100, -41],
    [-1700, -50.7],
    [4300, -52.4],
    [-2900, -57.2],
    [5500, -59.9],
  ]
  const y = x.map((hz, i) =>
    Math.max(
      -104 + 3 * Math.sin(7.1 * i) * Math.sin(2.7 * i),
      ...lines.map(([at, level]) => level - ((hz - at) / 7) ** 2 * 0.9),
    ),
  )
  return { x, y, y2: new Float64Array(0) }
}
