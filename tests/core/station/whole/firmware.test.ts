import { describe, expect, it } from 'vitest'
import type { Reading, Review } from '#core/review'
import { FIRMWARE_ID, stationById } from '#core/station'
import { figure, harmonic, radio, reviewOf, withReadings } from '../../../support/bench'
import { plain } from '../../../support/results'

/** One unit entered twice, with one firmware and with another. */
const bench = (serial = 'T-0042'): Review => ({
  ...reviewOf(),
  sets: [radio({ serial: 'T-0042' }), radio({ id: 'later', sample: 'A, later', serial })],
})

const later = (n: number, text: string): Reading => ({ ...harmonic(n, text), setId: 'later' })
const version = (setId: string, slot: string, text: string): Reading => ({
  ...figure(1, { slot, stepId: FIRMWARE_ID, stationId: FIRMWARE_ID, unit: 'words' }),
  setId,
  text,
})

function against(setId: string, readings: Reading[], review = bench()) {
  const context = withReadings(review, readings)
  const station = stationById(FIRMWARE_ID)
  const set = review.sets.find(({ id }) => id === setId)!
  const [step] = station.plan(set, context)
  return station.evaluate(step!, context).slots.find(({ slot }) => slot.kind.is === 'other-firmware')
}

describe('harmonics of one firmware against another', () => {
  const readings = [
    ...[harmonic(2, '-52.0'), harmonic(3, '-58.0')],
    ...[later(2, '-52.5'), later(3, '-54.0'), later(4, '-50.0')],
    version('later', 'version-before', '2.14'),
  ]

  it('names the one that differs most, of those that were read of both, seen from either', () => {
    expect(plain(against('set', readings)!.words)).toBe('×3 of 146.520 MHz is 4.0 dB weaker than with 2.14')
    expect(plain(against('later', readings)!.words)).toBe(
      '×3 of 146.520 MHz is 4.0 dB stronger than of the other',
    )
    expect(against('set', readings)!.notes[0]).toContain('of 2 harmonics')
    expect(against('later', readings)!.found!.value).toBeCloseTo(4, 1)
  })

  it('what both share of the bench cancels: far less is open than of either level', () => {
    const { found } = against('set', readings)!
    // The analyser alone leaves ±2 dB of each level: of two that shared nothing it would be ±2.5 and more.
    expect(found!.budget.range).toBeLessThan(2)
    expect(found!.budget.range).toBeGreaterThan(0.05)
  })

  it('says where the two readings leave open as much', () => {
    const near = [harmonic(2, '-52.0'), later(2, '-52.0')]
    expect(against('set', near)!.notes.join(' ')).toContain('need not be the cause')
    expect(against('set', readings)!.notes.join(' ')).not.toContain('need not be the cause')
  })

  it('takes the firmware after a change where it was changed', () => {
    const changed = [...readings, version('later', 'version-after', '3.0')]
    expect(against('set', changed)!.words).toContain('with 3.0')
  })

  it('is of one unit only: another serial number, or none, has no such row', () => {
    expect(against('set', readings, bench('T-0043'))).toBeUndefined()
    const unnumbered = bench('')
    unnumbered.sets[0]!.serial = ''
    expect(against('set', readings, unnumbered)).toBeUndefined()
    expect(against('set', [harmonic(2, '-52.0')])).toMatchObject({ state: 'open', words: 'Not compared' })
  })
})
