import { describe, expect, it } from 'vitest'
import { newAudioMeter, newChain } from '#core/chain'
import { createContext } from '#core/context'
import { type Desk, lastAbove, runWithoutHands, turnUntil, virtualDesk } from '#core/handsfree'
import type { Review } from '#core/review'
import { AUDIO, nextRead, stationById } from '#core/station'
import { slotOf, takeReading } from '#core/step'
import { type BenchTruth, levelForSinad, virtualBench } from '#core/virtual'
import { AT, meter, pad, radio, reviewOf } from '../../support/bench'
import { generator, hearingReview } from '../../support/hearing'

/** Runs a station of the one radio of a review until nothing is left; what the step came to. */
async function readAll(
  stationId: string,
  given: Review,
  {
    seed = 5,
    truths = {},
    most,
    goesOn,
    tamper,
  }: {
    seed?: number
    truths?: Partial<BenchTruth>
    most?: number
    goesOn?: Desk['goesOn']
    /** Something is done to an instrument before anything is read. */
    tamper?: (desk: Desk) => void
  } = {},
) {
  const station = stationById(stationId)
  let review = given
  const context = () => createContext(review)
  const step = () => station.plan(review.sets[0]!, context())[0]!
  const bench = virtualBench(seed, truths)
  const desk = virtualDesk({ stand: setting => bench.stand('set', setting), step, context, goesOn })
  tamper?.(desk)
  let count = 0
  const end = await runWithoutHands({
    ...{ step, desk, most },
    next: () => nextRead(station, step(), context()),
    keep: kept => {
      const reading = takeReading(step(), kept, { id: `k${++count}`, at: AT }, context())
      if (!reading) return false
      review = { ...review, readings: [...review.readings, reading] }
      return true
    },
    progress: () => undefined,
    said: error => (error instanceof Error ? error.message : String(error)),
  })
  return { end, review, bench, desk, result: () => station.evaluate(step(), context()) }
}

const heard = (change: Parameters<typeof hearingReview>[0] = {}): Review => {
  const review = hearingReview(change)
  return {
    ...review,
    instruments: [...review.instruments, { ...newAudioMeter('ears'), name: 'Audio meter' }],
    chains: [...review.chains, newChain('speaker', 'Speaker', 'ears')],
  }
}
/** A generator that is right, so that the truth is the radio’s own. */
const exact: Partial<BenchTruth> = { generator: () => ({ levelErrorDb: 0, ppm: 0 }) }

describe('a curve of sensitivity without hands', () => {
  it('finds the level of 12 dB the receiver really has, within its own range', async () => {
    for (const seed of [1, 2, 3, 4]) {
      const { end, bench, result } = await readAll('sensitivity', heard(), { seed, truths: exact })
      expect(end).toMatchObject({ is: 'done' })
      const { found } = slotOf(result(), 'sinad-12')!
      // The stand’s radio is 1.5 : 1 and the bench has no other reflection: so it hears what it should.
      const truth = levelForSinad(bench.radio('set').hearing, 12)
      const off = Math.abs(found!.value - truth)
      expect(off).toBeLessThan(found!.budget.range)
      // Tuned up to 300 Hz away from its channel, half a decibel of it is lost: that is the radio, not the bench.
      expect(off).toBeLessThan(1.2)
    }
  })

  it('is 3 dB worse where the generator gives 3 dB less than it shows', async () => {
    const at = async (levelErrorDb: number) => {
      const truths = { generator: () => ({ levelErrorDb, ppm: 0 }) }
      const { result } = await readAll('sensitivity', heard(), { truths })
      return slotOf(result(), 'sinad-12')!.found!.value
    }
    expect((await at(-3)) - (await at(0))).toBeCloseTo(3, 0)
  })

  it('ends with the generator off and at its lowest, whatever happened', async () => {
    const { desk } = await readAll('sensitivity', heard(), { most: 2 })
    const { line } = desk.at('generator')!
    const text = async (question: string) =>
      String.fromCharCode(...(await line.query(question, 'line'))).trim()
    expect(await text('OUTP?')).toBe('0')
    expect(Number(await text('POW?'))).toBe(generator().lowestDbm)
  })

  it('says what is missing where no audio answers, and keeps nothing', async () => {
    const { end, review } = await readAll('sensitivity', hearingReview())
    expect(end).toMatchObject({ is: 'failed', kept: 0 })
    expect(review.readings).toHaveLength(0)
  })
})

describe('rejection without hands', () => {
  it('finds what the receiver really bears from each side', async () => {
    const second = generator({
      id: 'gen2',
      name: 'Second',
      phaseNoise: [{ offsetHz: 12_500, dbcPerHz: -160 }],
    })
    const first = await readAll('sensitivity', heard({ second }), { truths: exact })
    const { end, bench, result } = await readAll('neighbour', first.review, { truths: exact })
    expect(end).toMatchObject({ is: 'done', kept: 2 })
    const { lower, upper } = bench.radio('set').hearing.rejectionDb
    const found = slotOf(result(), 'rejection-tia')!.found!
    expect(Math.abs(found.value - Math.min(lower, upper))).toBeLessThan(1.5)
  })
})

describe('blocking without hands', () => {
  const quiet = { phaseNoise: [{ offsetHz: 1e6, dbcPerHz: -165 }] }
  const withSecond = () => heard({ second: generator({ id: 'gen2', name: 'Second', ...quiet }) })

  it('finds the carrier a megahertz away that costs 3 dB, below and above, and keeps the less', async () => {
    for (const seed of [3, 4]) {
      const first = await readAll('sensitivity', withSecond(), { seed, truths: exact })
      const { end, bench, result } = await readAll('strong-signals', first.review, { seed, truths: exact })
      expect(end).toMatchObject({ is: 'done', kept: 2 })
      const { below, above } = bench.radio('set').hearing.blockingDb
      const found = slotOf(result(), 'blocking')!.found!
      expect(Math.abs(found.value - Math.min(below, above))).toBeLessThan(1.5)
    }
  })

  it('disturbs with a plain carrier, where what is wanted stays modulated', async () => {
    const told: string[] = []
    const first = await readAll('sensitivity', withSecond(), { truths: exact })
    await readAll('strong-signals', first.review, {
      truths: exact,
      tamper: ({ at }) => {
        const { line } = at('interferer')!
        const { send } = line
        line.send = text => (told.push(text), send(text))
      },
    })
    expect(told).toContain('SOURce:FM:STATe OFF')
    expect(told).not.toContain('SOURce:FM:STATe ON')
  })

  it('does not begin before the 12 dB level is known', async () => {
    const { end } = await readAll('strong-signals', withSecond(), { truths: exact })
    expect(end).toEqual({ is: 'done', kept: 0 })
  })
})

describe('audio without hands', () => {
  it('finds the power at a tenth of distortion, hum, and the fall over the tones', async () => {
    for (const seed of [1, 2]) {
      const { end, bench, result, review } = await readAll('audio', heard(), { seed, truths: exact })
      expect(end).toMatchObject({ is: 'done', kept: 8 })
      const { ratedV, usualV, humDb, responseDb } = bench.radio('set').speaker
      const power = slotOf(result(), 'power')!.found!
      expect(power.value / (ratedV ** 2 / 8)).toBeCloseTo(1, 1)
      const volts = (slot: string) => review.readings.find(one => one.slot === slot)!.seen.value
      expect(volts('tone-v') / usualV).toBeCloseTo(1, 1)
      // Hum and the little noise a strong signal leaves: never better than the hum alone.
      const hum = slotOf(result(), 'hum')!.found!.value
      expect(hum).toBeGreaterThan(-humDb - 3)
      expect(hum).toBeLessThan(-humDb + 0.2)
      for (const hz of [300, 500, 2000, 3000])
        expect(slotOf(result(), `response-${hz}`)!.found!.value).toBeCloseTo(responseDb(hz), 0)
    }
  })

  it('falls by nearly 6 dB an octave, as land mobile FM does', async () => {
    const { bench } = await readAll('audio', heard(), { truths: exact })
    const { responseDb } = bench.radio('set').speaker
    expect(responseDb(500) - responseDb(1000)).toBeGreaterThan(4.5)
    expect(responseDb(500) - responseDb(1000)).toBeLessThan(6.3)
    expect(responseDb(1000)).toBe(0)
    expect(responseDb(2000)).toBeLessThan(-5.5)
  })
})

describe('a squelch without hands', () => {
  it('finds both edges and what lies between them', async () => {
    const { end, bench, result } = await readAll('squelch', heard(), { truths: exact })
    expect(end).toMatchObject({ is: 'done', kept: 6 })
    const { open, close } = bench.radio('set').hearing.squelchDbm
    const found = slotOf(result(), 'hysteresis')!.found!
    expect(Math.abs(found.value - (open - close))).toBeLessThan(0.75)
  })
})

describe('power over time without hands', () => {
  const review = () =>
    reviewOf({
      instrument: meter({ accuracyPercent: 0 }),
      parts: [pad(0, { ratingW: 50 })],
      set: radio(),
    })

  it('logs every moment, and the droop is the radio’s own', async () => {
    const { end, bench, result } = await readAll('power-over-time', review())
    expect(end).toMatchObject({ is: 'done', kept: 14 })
    const keyed = (forS: number) => bench.radio('set').carrierDbm({ carrierHz: 146.52e6, claimedW: 5, forS })
    const [first, last] = [slotOf(result(), 't0')!, slotOf(result(), 't300')!]
    const droop = first.found!.value - last.found!.value
    expect(droop).toBeCloseTo(keyed(0) - keyed(300), 1)
    expect(droop).toBeGreaterThan(0.1)
  })

  it('keeps what was read before an instrument dies', async () => {
    const base = virtualBench(5).radio('set')
    const dying: Partial<BenchTruth> = {
      radio: () => ({
        ...base,
        carrierDbm: keyed => {
          if ((keyed.forS ?? 0) > 45) throw new Error('The lead came off.')
          return base.carrierDbm(keyed)
        },
      }),
    }
    const { end, review: after } = await readAll('power-over-time', review(), { truths: dying })
    expect(end).toMatchObject({ is: 'failed', why: 'The lead came off.' })
    expect(after.readings).toHaveLength(5)
  })
})

describe('an instrument that dies in the middle', () => {
  const asksOf = async (desk: Desk, question: string) =>
    String.fromCharCode(...(await desk.at('generator')!.line.query(question, 'line'))).trim()

  it('leaves every earlier reading, and the generator off and at its lowest', async () => {
    let asked = 0
    const { end, review, desk } = await readAll('sensitivity', heard(), {
      truths: exact,
      tamper: ({ at }) => {
        const { line } = at(AUDIO)!
        const { query } = line
        line.query = (text, form) =>
          text.includes('SINad') && ++asked > 10
            ? Promise.reject(new Error('The lead came off.'))
            : query(text, form)
      },
    })
    // Four to a figure: two whole ones were kept, the third was cut off.
    expect(end).toEqual({ is: 'failed', kept: 2, why: 'The lead came off.' })
    expect(review.readings).toHaveLength(2)
    const lowest = generator().lowestDbm.toExponential(4).toUpperCase()
    expect(await asksOf(desk, 'OUTP?;:POW?')).toBe(`0;${lowest}`)
  })

  it('stops when told with what was whole, and what was under way is not kept', async () => {
    // Asked before each figure, four times in it, and after it: the second stops in its middle, the third after it.
    for (const [allowed, kept] of [
      [9, 1],
      [11, 1],
      [12, 2],
    ] as const) {
      let left = allowed
      const { end, review, desk } = await readAll('sensitivity', heard(), {
        truths: exact,
        goesOn: async () => left-- > 0,
      })
      expect([allowed, end]).toEqual([allowed, { is: 'stopped', kept }])
      expect(review.readings).toHaveLength(kept)
      expect(await asksOf(desk, 'OUTP?')).toBe('0')
    }
  })
})

describe('a search for a level', () => {
  it('finds the last level at which something holds, to its step', async () => {
    const range = { lowestDbm: -130, highestDbm: 0, stepDb: 0.1 }
    for (const edge of [-129.95, -77.34, -0.05])
      expect(await lastAbove(range, async level => level <= edge)).toBeCloseTo(Math.floor(10 * edge) / 10, 9)
    expect(await lastAbove(range, async () => true)).toBe(0)
    expect(await lastAbove(range, async () => false)).toBeNull()
  })

  it('finds both edges of something that stays open for a while', async () => {
    let isOpen = false
    const isHeardAt = async (level: number) => (isOpen = level >= (isOpen ? -124 : -120.2))
    const range = { lowestDbm: -140, highestDbm: -50, stepDb: 0.5 }
    expect(await turnUntil(range, 'open', isHeardAt)).toBe(-120)
    expect(await turnUntil(range, 'close', isHeardAt)).toBe(-124.5)
    expect(await turnUntil(range, 'open', async () => false)).toBeNull()
  })
})

describe('what stands in no chain', () => {
  it('reads currents of the three states from a supply', async () => {
    const { end, bench, review } = await readAll('battery', reviewOf())
    expect(end).toMatchObject({ is: 'done' })
    const { currents } = bench.radio('set')
    const value = (slot: string) => review.readings.find(one => one.slot === slot)!.seen.value
    expect(value('standby') / currents.standbyA).toBeCloseTo(1, 2)
    expect(value('audio') / currents.receivingA).toBeCloseTo(1, 2)
    const keyedA = currents.keyedA({ carrierHz: 146.52e6, claimedW: 5, levelId: 'high' })
    expect(value('transmit-high') / keyedA).toBeCloseTo(1, 2)
  })

  it('reads the swing with a tone and with a shout, by an analyser of modulation', async () => {
    const { end, bench, review } = await readAll('deviation', reviewOf())
    expect(end).toMatchObject({ is: 'done', kept: 2 })
    const value = (slot: string) => review.readings.find(one => one.slot === slot)!.seen.value
    const keyed = { carrierHz: 146.52e6, claimedW: 5, spacingHz: 25_000 }
    const truth = (speaks: 'tone' | 'loudest') => bench.radio('set').deviationHz({ ...keyed, speaks })
    // Its scale is off by one part in a hundred at the most.
    for (const speaks of ['tone', 'loudest'] as const)
      expect(Math.abs(value(speaks) / truth(speaks) - 1)).toBeLessThan(0.02)
    // Sixty percent of 5 kHz with a normal tone (receivers.md), and never as little as with nothing said.
    expect(truth('tone')).toBeGreaterThan(0.5 * 5000)
    expect(truth('tone')).toBeLessThan(0.7 * 5000)
    expect(bench.radio('set').deviationHz({ carrierHz: 146.52e6, claimedW: 5 })).toBeLessThan(100)
  })

  it('swings twice as far in a channel twice as wide', async () => {
    const { bench } = await readAll('deviation', reviewOf(), { most: 1 })
    const at = (spacingHz: number) =>
      bench.radio('set').deviationHz({ carrierHz: 1e8, claimedW: 5, speaks: 'tone', spacingHz })
    expect(at(25_000) / at(12_500)).toBeCloseTo(2, 9)
  })

  it('reads the match of an antenna, and the carrier by a counter', async () => {
    const antenna = await readAll('antenna', reviewOf())
    expect(antenna.end).toMatchObject({ is: 'done', kept: 1 })
    expect(antenna.review.readings[0]!.seen.value).toBeGreaterThanOrEqual(1)
    const counted = await readAll('frequency', reviewOf())
    const truth = counted.bench.radio('set').carrierHz({ carrierHz: 146.52e6, claimedW: 5 })
    // The counter’s reference is good to 0.1 ppm.
    expect(Math.abs(counted.review.readings[0]!.seen.value - truth)).toBeLessThan(16)
  })
})

it('keeps what an instrument said, word for word', async () => {
  const { review } = await readAll('carrier-power', reviewOf({ instrument: meter(), parts: [pad(0)] }))
  expect(review.readings[0]!.source).toMatchObject({ kind: 'link', answer: expect.stringMatching(/^\d/) })
  expect(AUDIO).toBe('audio')
})
