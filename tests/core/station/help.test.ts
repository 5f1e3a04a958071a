import { describe, expect, it } from 'vitest'
import { stations, wiringDrawing } from '#core/station'
import { DAY, svgText } from '#core/svg'

describe('why and how', () => {
  it.each(stations.map(station => [station.title, station] as const))(
    'stands ready for: %s',
    (_title, station) => {
      const { what, wrong, how } = station.help!
      expect(what.length).toBeGreaterThan(40)
      expect(wrong.length).toBeGreaterThan(0)
      expect(how.length).toBeGreaterThan(1)
      for (const line of [what, ...wrong, ...how]) expect(line).toMatch(/^[A-Z0-9].*[.?!]$/)
    },
  )

  it.each(stations.map(station => [station.title, station] as const))(
    'draws what stands at the other end of: %s',
    (_title, station) => {
      const drawn = svgText(wiringDrawing(station, DAY))
      for (const { title } of Object.values(station.roles)) expect(drawn).toContain(title)
      expect(drawn).toContain('Radio')
    },
  )

  it('draws a generator’s arrow towards the radio, and a meter’s away from it', () => {
    const wired = (signal: 'to-radio' | 'from-radio') =>
      svgText(
        wiringDrawing({ roles: { one: { title: 'The box', instruments: ['power-meter'], signal } } }, DAY),
      )
    const [, from, to] = /M([\d.]+) [\d.]+H([\d.]+)/.exec(wired('from-radio'))!.map(Number)
    expect(to!).toBeGreaterThan(from!)
    const [, back, at] = /M([\d.]+) [\d.]+H([\d.]+)/.exec(wired('to-radio'))!.map(Number)
    expect(at!).toBeLessThan(back!)
  })
})
