import { describe, expect, it } from 'vitest'
import { liveBlocks, portableFft, SINAD_DEFAULTS } from '#core/signal'
import { added, gaussian, sines } from '../../support/audio'

const RATE = 48_000
/** White noise that leaves so many dB SINAD in 300 Hz to 3 kHz. */
function heard(sinadDb: number, seconds: number, amplitude = 0.2): Float32Array {
  const noise = amplitude ** 2 / 2 / (10 ** (sinadDb / 10) - 1)
  const count = seconds * RATE
  const rms = Math.sqrt((noise * RATE) / 2 / 2700)
  return Float32Array.from(added(sines(count, RATE, [{ hz: 1000, amplitude }]), gaussian(count, rms, 3)))
}

function reportsOf(samples: Float32Array, piece: number) {
  const live = liveBlocks(RATE, SINAD_DEFAULTS, portableFft)
  const reports = []
  for (let from = 0; from < samples.length; from += piece)
    reports.push(...live.push(samples.slice(from, from + piece)))
  live.release()
  return reports
}

describe('live audio', () => {
  it('reports five times a second, the first within a second', () => {
    const reports = reportsOf(heard(12, 3), 2048)
    expect(reports.length).toBeGreaterThanOrEqual(12)
    expect(reports.length).toBeLessThanOrEqual(16)
    expect(reportsOf(heard(12, 1).slice(0, 0.9 * RATE), 2048).length).toBeGreaterThan(0)
  })

  it.each([128, 1000, 2048, 48_000])('says the same in pieces of %d samples', piece => {
    const last = reportsOf(heard(12, 4), piece).at(-1)!
    expect(last.steady!.sinadDb).toBeGreaterThan(11.6)
    expect(last.steady!.sinadDb).toBeLessThan(12.4)
  })

  it('puts seconds together, and begins anew when something is changed', () => {
    const both = new Float32Array(8 * RATE)
    both.set(heard(20, 4))
    both.set(heard(10, 4), 4 * RATE)
    const reports = reportsOf(both, 2048)
    const atFour = reports[Math.floor(reports.length / 2) - 1]!
    expect(atFour.steady!.seconds).toBeGreaterThanOrEqual(3)
    const last = reports.at(-1)!
    expect(last.steady!.sinadDb).toBeGreaterThan(9.5)
    expect(last.steady!.sinadDb).toBeLessThan(10.6)
    expect(last.steady!.standardUncertaintyDb).toBeLessThan(0.2)
  })

  it('tells the largest sample since the last report', () => {
    const reports = reportsOf(heard(30, 2, 0.9), 2048)
    expect(reports.at(-1)!.peak).toBeGreaterThan(0.88)
    expect(reports.at(-1)!.peak).toBeLessThan(1.2)
  })

  it('has no mean where there is no tone', () => {
    const reports = reportsOf(new Float32Array(2 * RATE), 2048)
    expect(reports.every(({ steady }) => steady === null)).toBe(true)
    expect(reports.at(-1)!.block.doubts.map(({ kind }) => kind)).toContain('silence')
  })
})
