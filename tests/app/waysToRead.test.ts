import { describe, expect, it } from 'vitest'
import type { InstrumentLink } from '~/link/links'
import type { ServerInstrument } from '~/link/serverLink'
import { serverIdOfWay, wayNow, waysToRead } from '~/link/waysToRead'

const meter: ServerInstrument = {
  ...{ id: 'meter', title: 'Power meter', kind: 'power-meter', isVirtual: true, port: 5025 },
}
const values = (reached: ServerInstrument[], link: InstrumentLink | null = null, hasSerial = true) =>
  waysToRead({ link, reached, hasSerial }).map(({ value }) => value)

describe('the ways an instrument can be read', () => {
  it('moves nothing that stands in the list when the server answers', () => {
    const before = values([])
    expect(before).toEqual(['typed', 'virtual', 'serial'])
    expect(values([meter])).toEqual([...before, 'server:meter'])
  })

  it('offers a serial lead only where the browser has one', () => {
    expect(values([], null, false)).toEqual(['typed', 'virtual'])
  })

  it('has words for what is chosen while the server is silent, once only when it answers', () => {
    const link: InstrumentLink = { via: 'server', serverId: 'meter' }
    expect(waysToRead({ link, reached: [], hasSerial: false }).at(-1)).toEqual({
      value: 'server:meter',
      title: 'By the server, not reached now',
    })
    expect(values([meter], link, false)).toEqual(['typed', 'virtual', 'server:meter'])
  })

  it('has words for a lead that was chosen in a browser with serial leads', () => {
    const link: InstrumentLink = { via: 'serial', baudRate: 9600, vendorId: null, productId: null }
    expect(waysToRead({ link, reached: [], hasSerial: false }).at(-1)?.title).toBe('On a serial lead')
  })

  it('names the port of what the server simulates, and none where it is somebody’s own', () => {
    const own = { ...meter, id: 'own', title: 'My meter', isVirtual: false, port: null }
    const titles = waysToRead({ link: null, reached: [meter, own], hasSerial: false }).map(
      ({ title }) => title,
    )
    expect(titles.slice(2)).toEqual(['Power meter, by the server on port 5025', 'My meter, by L'])
  })
})

describe('the way it is read now', () => {
  it('is a value of the list', () => {
    expect(wayNow(null)).toBe('typed')
    expect(wayNow({ via: 'virtual' })).toBe('virtual')
    expect(wayNow({ via: 'server', serverId: 'x' })).toBe('server:x')
  })

  it('leads back to the instrument of the server, whatever its id', () => {
    for (const serverId of ['meter', 'server:server:', 'virtual'])
      expect(serverIdOfWay(wayNow({ via: 'server', serverId }))).toBe(serverId)
    expect(['typed', 'virtual', 'serial'].map(serverIdOfWay)).toEqual([null, null, null])
  })
})
