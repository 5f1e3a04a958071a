import { describe, expect, it } from 'vitest'
import { stations } from '#core/station'
import { fetchStationView, stationView, stationViews } from '~/stations'

describe('views of stations', () => {
  it('belong to stations there are', () => {
    const known = stations.map(({ id }) => id)
    expect(Object.keys(stationViews).filter(id => !known.includes(id))).toEqual([])
  })

  it.each(Object.keys(stationViews))('%s: every part is there to be fetched', async id => {
    await expect(fetchStationView(id)).resolves.toBeUndefined()
  })

  it('a station without one has the usual screen, and nothing to fetch', async () => {
    expect(stationView('nobody')).toEqual({})
    await expect(fetchStationView('nobody')).resolves.toBeUndefined()
  })
})
