import type { Step } from '#core/step'
import { createContext } from '#core/context'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, shallowRef } from 'vue'
import { demoReview } from '#core/demo'
import type { ReceiverInsight } from '#core/signal'
import { stationById } from '#core/station'
import { type Recordings, useRecordings } from '~/composables/useRecordings'
import type { RecordingLook } from '~/workers/recording.worker'
import type { AnalyseInput } from '~/workers/recordingWorkers'

const workers = vi.hoisted(() => ({
  lookAtRecordings: vi.fn(),
  insightInto: vi.fn(),
  analyseRecording: vi.fn(),
  zoomInto: vi.fn(),
  hashOf: vi.fn(),
  dismiss: vi.fn(),
}))
vi.mock('~/workers/recordingWorkers', () => workers)

const { review } = demoReview()
const context = createContext(review)
const step = stationById('deviation').plan(
  review.sets.find(({ id }) => id === 'mini')!,
  context,
)[0]!
const look = (change: Partial<RecordingLook> = {}): RecordingLook => ({
  name: 'a.sigmf-data',
  fileName: 'a.sigmf-data',
  firstSample: 0,
  bytes: 1000,
  seconds: 1,
  sampleRateHz: 96_000,
  centreHz: null,
  mayBeIq: true,
  channels: 2,
  sampleCount: 96_000,
  understood: [],
  warnings: [],
  meta: { global: { 'core:datatype': 'cf32_le', 'core:version': '1.0.0' }, captures: [], annotations: [] },
  ...change,
})
const file = new File(['x'], 'a.sigmf-data')
const insight: ReceiverInsight = {
  signalHz: 1234,
  correction: { spike: { re: 0, im: 0 }, image: { re: 0, im: 0 } },
  image: { kind: 'below', leftDb: -60 },
  spikeDb: null,
  clippedShare: 0,
  times: {
    steady: [{ from: 9600, to: 96_000 }],
    edges: [{ from: 0, to: 9600 }],
    thresholdPower: 0.01,
  },
}

function recordingsOf(): Recordings {
  let made: Recordings | null = null
  mount(
    defineComponent({
      setup() {
        made = useRecordings(shallowRef<Step | null>(step), () => ({
          deviation: true,
          twoTone: false,
          resolutionHz: 100,
          channelSpacingHz: 12_500,
        }))
        return () => h('p')
      },
    }),
  )
  return made!
}

describe('recordings brought in', () => {
  beforeEach(() => {
    for (const mock of Object.values(workers)) mock.mockReset()
    workers.lookAtRecordings.mockResolvedValue([look()])
    workers.insightInto.mockResolvedValue(insight)
    workers.analyseRecording.mockResolvedValue({ carrierHz: 1234 })
  })
  const asked = () => workers.analyseRecording.mock.calls.at(-1)![0] as AnalyseInput

  it('are looked at and read at once, around the strongest signal where nobody says what the middle is', async () => {
    const recordings = recordingsOf()
    await recordings.bringIn([file])
    expect(recordings.looks.value).toHaveLength(1)
    expect(asked().settings).toMatchObject({ fmShiftHz: 1234, window: 'blackman-harris', insight })
    expect(asked().settings).toMatchObject({ channelHalfHz: 9000, neighbourFromHz: 10_500 })
    expect(asked().wanted).toMatchObject({ phaseNoiseDbcPerHz: -100, channelSpacingHz: 12_500 })
    expect(recordings.analysis.value).toEqual({ carrierHz: 1234 })
    expect(recordings.progress.value).toBeNull()
  })

  it('are read at the channel of the step where it lies inside, else at the strongest', async () => {
    workers.lookAtRecordings.mockResolvedValue([look({ centreHz: step.channel.frequencyHz - 10_000 })])
    const recordings = recordingsOf()
    await recordings.bringIn([file])
    expect(asked().settings.fmShiftHz).toBe(10_000)
    // The look says that the strongest stands elsewhere: when that one is keyed says nothing of this.
    expect(asked().settings.insight!.times.edges).toEqual([])
    workers.lookAtRecordings.mockResolvedValue([look({ centreHz: 446e6 })])
    await recordings.bringIn([file])
    expect(asked().settings.fmShiftHz).toBe(1234)
  })

  it('are read from one moment to another, and of the channels that were chosen', async () => {
    workers.lookAtRecordings.mockResolvedValue([look({ channels: 4 })])
    const recordings = recordingsOf()
    await recordings.bringIn([file])
    Object.assign(recordings.setup.value!, { fromS: 0.25, toS: 0.75, channel: 1 })
    await recordings.analyse()
    expect(workers.insightInto.mock.calls.at(-1)![2]).toEqual({ sampleCount: 48_000, channelHalfHz: 9000 })
    expect(asked()).toMatchObject({
      sampleCount: 48_000,
      choice: { fromS: 0.25, toS: 0.75, use: { kind: 'iq', pair: 1 } },
    })
    Object.assign(recordings.setup.value!, { fromS: 0.8, toS: 0.75, as: 'audio' })
    workers.analyseRecording.mockClear()
    await recordings.analyse()
    expect(recordings.problem.value).toContain('Nothing lies from 0.8 s to 0.75 s')
    expect(workers.analyseRecording).not.toHaveBeenCalled()
    expect(recordings.progress.value).toBeNull()
  })

  it('keep saying how they were read when the fields are changed afterwards', async () => {
    const recordings = recordingsOf()
    await recordings.bringIn([file])
    Object.assign(recordings.setup.value!, { fromS: 0.5, sampleRateHz: 48_000 })
    expect(recordings.taken.value).toMatchObject({ fromS: null, sampleRateHz: 96_000 })
    workers.zoomInto.mockResolvedValue(null)
    await recordings.lookCloser(1000)
    expect(workers.zoomInto.mock.calls.at(-1)![1]).toMatchObject({ fromS: null, sampleRateHz: 96_000 })
    await recordings.analyse()
    expect(recordings.taken.value).toMatchObject({ fromS: 0.5, sampleRateHz: 48_000 })
    recordings.drop()
    expect(recordings.taken.value).toBeNull()
  })

  it('in an archive are known by the hash of the archive', async () => {
    const archive = new File(['y'], 'both.sigmf')
    workers.lookAtRecordings.mockResolvedValue([look({ fileName: 'both.sigmf' })])
    workers.hashOf.mockResolvedValue('ab')
    const recordings = recordingsOf()
    await recordings.bringIn([file, archive])
    await recordings.evidence()
    expect(workers.hashOf).toHaveBeenCalledWith(archive)
  })

  it('of one channel are audio: no deviation is asked of them', async () => {
    workers.lookAtRecordings.mockResolvedValue([look({ mayBeIq: false, channels: 1 })])
    const recordings = recordingsOf()
    await recordings.bringIn([file])
    expect(recordings.setup.value!.as).toBe('audio')
    expect(asked().settings.fmShiftHz).toBeNull()
  })

  it('tell how far they have come, and stop at once', async () => {
    let tell = (_share: number) => {}
    let finish = (_found: unknown) => {}
    workers.analyseRecording.mockImplementation((input: AnalyseInput) => {
      tell = input.onProgress
      return new Promise(resolve => {
        finish = resolve
      })
    })
    const recordings = recordingsOf()
    const reading = recordings.bringIn([file])
    await vi.waitFor(() => expect(workers.analyseRecording).toHaveBeenCalled())
    tell(0.4)
    expect(recordings.progress.value).toBeCloseTo(0.15 + 0.85 * 0.4, 9)
    await recordings.cancel()
    expect(workers.dismiss).toHaveBeenCalled()
    finish({ carrierHz: 5 })
    await reading
    expect(recordings.analysis.value).toBeNull()
    expect(recordings.problem.value).toContain('Nothing was kept')
    tell(0.9)
    expect(recordings.progress.value).toBeNull()
  })

  it('say what is wrong: with the files, or with the reading', async () => {
    const ui = useUiStore()
    workers.lookAtRecordings.mockRejectedValueOnce(new Error('“a” was not brought in: it is empty.'))
    const recordings = recordingsOf()
    await recordings.bringIn([file])
    expect(ui.notice).toMatchObject({
      tone: 'problem',
      text: expect.stringContaining('it is empty') as string,
    })
    workers.lookAtRecordings.mockResolvedValueOnce([])
    await recordings.bringIn([file])
    expect(ui.notice!.text).toContain('None of these files')
    workers.analyseRecording.mockRejectedValueOnce(new Error('sampled too slowly'))
    await recordings.bringIn([file])
    expect(recordings.problem.value).toBe('sampled too slowly')
  })

  it('look closer, give their hash, and are let go', async () => {
    workers.zoomInto.mockResolvedValue({ offsetHz: new Float64Array(1) })
    workers.hashOf.mockResolvedValue('abc')
    const recordings = recordingsOf()
    expect(await recordings.lookCloser(1000)).toBeNull()
    await recordings.bringIn([file])
    expect(await recordings.lookCloser(1000)).not.toBeNull()
    expect(workers.zoomInto.mock.calls[0]![2]).toEqual({ middleHz: 1234, widthHz: 1000 })
    expect(await recordings.evidence()).toBe('abc')
    recordings.drop()
    expect(recordings.looks.value).toEqual([])
    expect(await recordings.evidence()).toBe('')
  })
})
