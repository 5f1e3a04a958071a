import { harmonicsAt, type Moment } from '#core/station'
import { describe, expect, it } from 'vitest'
import {
  analyser,
  AT,
  harmonic,
  HARMONICS_STEP,
  reading,
  reviewOf,
  withReadings,
} from '../../../support/bench'
import { plain } from '../../../support/results'
import { resultOf, slot } from '../../../support/stations'

describe('harmonics: moments, ambient, spurs and the pad test', () => {
  const at = (slotId: string, text: string, frequencyHz: number) =>
    reading(text, { slot: slotId, stepId: HARMONICS_STEP, frequencyHz })

  it('judges both moments; the verdict says which governs', () => {
    const result = resultOf(
      'harmonics',
      withReadings(reviewOf(), [harmonic(1, '-13'), harmonic(2, '-80'), at('x2:key-up', '-50', 293.04e6)]),
    )
    expect(slot(result, 'x2').verdict.state).toBe('inside')
    expect(slot(result, 'x2:key-up').verdict.state).toBe('outside')
    expect(result.words).toContain('at key-up')
    expect(result.progress.read).toBe(2)
  })

  it('does not hold against the radio what was there unkeyed', () => {
    const with_ = (ambient: string) =>
      slot(
        resultOf(
          'harmonics',
          withReadings(reviewOf(), [
            harmonic(1, '-13'),
            harmonic(2, '-55'),
            at('x2:ambient', ambient, 293.04e6),
          ]),
        ),
        'x2',
      )
    expect(with_('-90')).toMatchObject({ verdict: { state: 'outside' } })
    expect(with_('-90').notes.join(' ')).toContain('the radio’s own')
    expect(with_('-60').notes.join(' ')).toContain('part of it')
    expect(with_('-56')).toMatchObject({
      verdict: { state: 'not-covered' },
      found: { isUpperBound: true },
    })
  })

  it('judges spurs that are no harmonics', () => {
    const result = resultOf(
      'harmonics',
      withReadings(reviewOf(), [harmonic(1, '-13'), at('s311200000', '-52', 311.2e6)]),
    )
    expect(slot(result, 's311200000')).toMatchObject({
      verdict: { state: 'outside' },
      slot: { label: 'spur 311.200\u00a0MHz' },
    })
    expect(result.governs!.slot.id).toBe('s311200000')
  })

  it.each([
    [-10, 'comes within 3 dB of'],
    [-21, 'is 8 dB over the level'],
  ])('says how far a carrier shown at −13 dBm is from an overload of %d dBm', (overloadDbm, words) => {
    const review = reviewOf({ instrument: analyser({ overloadDbm }) })
    const [offer] = resultOf(
      'harmonics',
      withReadings(review, [harmonic(1, '-13'), harmonic(2, '-55')]),
    ).offers
    expect(plain(offer!.words)).toContain(`The carrier ${words}`)
  })

  it('offers the pad test when a verdict hangs on a harmonic, until one is on record', () => {
    const review = reviewOf()
    const readings = [harmonic(1, '-13'), harmonic(2, '-55')]
    expect(resultOf('harmonics', withReadings(review, readings)).offers).toEqual([
      { id: 'pad-test', slotId: 'x2', words: expect.stringContaining('×2') as string },
    ])
    const tested = {
      ...review,
      padTests: [
        {
          id: 'p',
          chainId: 'ch',
          at: AT,
          harmonic: 2,
          frequencyHz: 293.04e6,
          padDb: 10,
          padHalfWidthDb: 0.3,
          withoutDbm: -55,
          withDbm: -65,
          resolutionDb: 0.1,
        },
      ],
    }
    expect(resultOf('harmonics', withReadings(tested, readings)).offers).toEqual([])
    expect(
      resultOf('harmonics', withReadings(review, [harmonic(1, '-13'), harmonic(2, '-80')])).offers,
    ).toEqual([])
  })

  it('says what a slot is by its kind: which line, which moment', () => {
    const context = withReadings(reviewOf(), [
      harmonic(1, '-13'),
      at('x2:key-up', '-60', 293.04e6),
      at('s311200000:key-up', '-60', 311.2e6),
      at('x3:ambient', '-90', 439.56e6),
      at('x2:whenever', '-60', 293.04e6),
      at('sx', '-60', 1e6),
    ])
    const more = resultOf('harmonics', context).slots.slice(10)
    expect(more.map(({ slot: { id, kind, label, optional } }) => [id, kind, label, optional])).toEqual([
      ['x2:key-up', { is: 'harmonic', n: 2, moment: 'key-up' }, '×2 at key-up', true],
      [
        's311200000:key-up',
        { is: 'spur', n: null, moment: 'key-up' },
        'spur 311.200\u00a0MHz at key-up',
        true,
      ],
    ])
  })

  it('shows the lines of one moment: the carrier only where it is settled', () => {
    const context = withReadings(reviewOf(), [
      harmonic(1, '-13'),
      harmonic(2, '-60'),
      at('x2:ambient', '-90', 293.04e6),
    ])
    const result = resultOf('harmonics', context)
    const shown = (moment: Moment) =>
      harmonicsAt(moment, result, context).map(one => [one.slot.id, one.state])
    expect(shown('settled').slice(0, 3)).toEqual([
      ['x1', 'read'],
      ['x2', 'read'],
      ['x3', 'open'],
    ])
    expect(shown('ambient').slice(0, 2)).toEqual([
      ['x2:ambient', 'read'],
      ['x3:ambient', 'open'],
    ])
  })
})
