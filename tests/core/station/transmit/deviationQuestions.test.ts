import { describe, expect, it } from 'vitest'
import { DEVIATION_ID } from '#core/station'
import { figure, withReadings } from '../../../support/bench'
import { landMobile, resultOf, stepOf } from '../../../support/stations'

/** What is asked about a deviation read at one of its slots, in channels of 12.5 kHz: full is 2.5 kHz. */
function asked(slot: string, hz: number, channelSpacingHz = 12_500) {
  const reading = figure(hz, { slot, stepId: stepOf(DEVIATION_ID), unit: 'Hz' })
  const context = withReadings(landMobile({}, { channelSpacingHz }), [reading])
  return resultOf(DEVIATION_ID, context)
    .questions.map(({ words }) => words)
    .join(' ')
}

describe('a deviation that looks wrong is asked about', () => {
  it('at normal level more than a fifth over full', () => {
    expect(asked('tone', 2990)).toBe('')
    expect(asked('tone', 3010)).toContain(
      'More than full deviation at normal level: is the radio set to wide spacing',
    )
    expect(asked('tone', 5990, 25_000)).toBe('')
    expect(asked('tone', 6010, 25_000)).toContain('set to another spacing')
    expect(asked('loudest', 3010)).toBe('')
  })

  it('next to nothing, and more than any voice channel', () => {
    expect(asked('tone', 49)).toContain('next to nothing')
    expect(asked('tone', 51)).toBe('')
    expect(asked('tone-squelch', 49)).toBe('')
    expect(asked('loudest', 15_001)).toContain('more than any voice channel')
    expect(asked('loudest', 14_999)).toBe('')
  })
})
