import type { RecordingNeeds } from '#core/station'
import type { Step } from '#core/step'
import {
  type SamplePart,
  samplesOfPart,
  sizeFor,
  type SpectrumCurve,
  windowFacts,
  type RecordingAnalysis,
} from '#core/signal'
import type { RecordingLook } from '~/workers/recording.worker'

/** How a recording is to be taken. */
export interface RecordingSetup extends SamplePart {
  index: number
  as: 'iq' | 'audio'
  /** Which pair of I and Q, or which channel of audio, from nought. */
  channel: number
  sampleRateHz: number
  centreHz: number | null
  /** Signal to be read, Hz from the middle; null: the strongest. */
  shiftHz: number | null
}

const WINDOW = 'blackman-harris' as const
const COLUMNS = 240
const ROWS = 96
const CHANNEL_HALF_HZ = 15_000

/**
 * Takes recordings from button or drop, looks at them, analyses one in the workers with progress and cancel,
 * and holds what was found until it is kept.
 */
export function useRecordings(step: Readonly<Ref<Step | null>>, needs: (step: Step) => RecordingNeeds) {
  const ui = useUiStore()
  const files = shallowRef<File[]>([])
  const looks = shallowRef<RecordingLook[]>([])
  const setup = ref<RecordingSetup | null>(null)
  const analysis = shallowRef<RecordingAnalysis | null>(null)
  /** How the analysis in hand was taken: the fields may have been changed since. */
  const taken = shallowRef<RecordingSetup | null>(null)
  const progress = ref<number | null>(null)
  const problem = ref('')
  const sha256 = ref('')
  let run = 0

  async function bringIn(picked: File[]): Promise<void> {
    drop()
    try {
      const { lookAtRecordings } = await import('~/workers/recordingWorkers')
      const found = await lookAtRecordings(picked)
      if (found.length === 0)
        throw new Error(
          'None of these files is a recording known here. Known: WAV, and SigMF as two files or an archive. Nothing was brought in.',
        )
      files.value = picked
      looks.value = found
      choose(0)
      await analyse()
    } catch (error) {
      ui.sayProblem(error)
    }
  }

  function choose(index: number): void {
    const look = looks.value[index]!
    setup.value = {
      index,
      as: look.mayBeIq ? 'iq' : 'audio',
      channel: 0,
      fromS: null,
      toS: null,
      sampleRateHz: look.sampleRateHz,
      centreHz: look.centreHz,
      shiftHz: shiftFor(look.centreHz, look.sampleRateHz),
    }
  }

  /**
   * The channel of the step where the recording says where it stands and the channel lies inside; else the
   * strongest signal.
   */
  function shiftFor(centreHz: number | null, sampleRateHz: number): number | null {
    const wanted = step.value?.channel.frequencyHz
    if (centreHz === null || wanted === undefined) return null
    return Math.abs(wanted - centreHz) < 0.45 * sampleRateHz ? wanted - centreHz : null
  }

  async function analyse(): Promise<void> {
    const chosen = setup.value && { ...setup.value }
    const look = chosen && looks.value[chosen.index]
    const place = step.value
    if (!chosen || !look || !place) return
    const mine = ++run
    analysis.value = null
    problem.value = ''
    progress.value = 0
    const want = needs(place)
    const choice = choiceOf(chosen)
    try {
      const sampleCount = samplesOfPart(
        { sampleCount: look.sampleCount, sampleRateHz: chosen.sampleRateHz },
        chosen,
      ).count
      const { analyseRecording, strongestIn } = await import('~/workers/recordingWorkers')
      const plain = toRaw(files.value)
      const shiftHz = chosen.shiftHz ?? (await strongestIn(plain, choice)) ?? 0
      const size = sizeFor(chosen.sampleRateHz, {
        resolutionHz: want.resolutionHz,
        enbwBins: windowFacts(WINDOW).enbwBins,
        sampleCount,
      })
      const found = await analyseRecording({
        files: plain,
        choice,
        sampleCount,
        settings: {
          size,
          window: WINDOW,
          fmShiftHz: want.deviation && chosen.as === 'iq' ? shiftHz : null,
          channelHalfHz: CHANNEL_HALF_HZ,
          columns: COLUMNS,
          rows: ROWS,
        },
        wanted: { channelSpacingHz: want.channelSpacingHz, carrierHz: shiftHz, twoTone: want.twoTone },
        onProgress: share => {
          if (mine === run) progress.value = share
        },
      })
      if (mine !== run) return
      analysis.value = found
      taken.value = chosen
    } catch (error) {
      if (mine === run) problem.value = error instanceof Error ? error.message : String(error)
    }
    if (mine === run) progress.value = null
  }

  /** A closer look around the carrier that was found; null when it was cancelled. */
  async function lookCloser(widthHz: number): Promise<SpectrumCurve | null> {
    const chosen = taken.value
    const found = analysis.value
    if (!chosen || !found) return null
    const mine = ++run
    progress.value = 0
    try {
      const { zoomInto } = await import('~/workers/recordingWorkers')
      const curve = await zoomInto(
        toRaw(files.value),
        choiceOf(chosen),
        { middleHz: found.carrierHz ?? 0, widthHz },
        share => {
          if (mine === run) progress.value = share
        },
      )
      return mine === run ? curve : null
    } catch (error) {
      if (mine === run) problem.value = error instanceof Error ? error.message : String(error)
      return null
    } finally {
      if (mine === run) progress.value = null
    }
  }

  function choiceOf(chosen: RecordingSetup) {
    return {
      index: chosen.index,
      use:
        chosen.as === 'iq'
          ? { kind: 'iq' as const, pair: chosen.channel }
          : { kind: 'audio' as const, channel: chosen.channel },
      sampleRateHz: chosen.sampleRateHz,
      centreHz: chosen.centreHz,
      fromS: chosen.fromS,
      toS: chosen.toS,
    }
  }

  /** Stops the analysis at once; the workers are let go. */
  async function cancel(): Promise<void> {
    run += 1
    progress.value = null
    problem.value = 'Cancelled. Nothing was kept; the file is as it was.'
    const { dismiss } = await import('~/workers/recordingWorkers')
    dismiss()
  }

  /** SHA-256 of the file that holds the samples; empty where it could not be read. */
  async function evidence(): Promise<string> {
    const look = setup.value && looks.value[setup.value.index]
    const file = look && files.value.find(({ name }) => name === look.fileName)
    if (!file) return ''
    const { hashOf } = await import('~/workers/recordingWorkers')
    sha256.value = await hashOf(file)
    return sha256.value
  }

  function drop(): void {
    run += 1
    files.value = []
    looks.value = []
    setup.value = null
    analysis.value = null
    taken.value = null
    progress.value = null
    problem.value = ''
    sha256.value = ''
  }

  return {
    files,
    looks,
    setup,
    analysis,
    taken,
    progress,
    problem,
    bringIn,
    choose,
    analyse,
    lookCloser,
    cancel,
    evidence,
    drop,
  }
}

export type Recordings = ReturnType<typeof useRecordings>
