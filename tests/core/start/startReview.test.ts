import { describe, expect, it } from 'vitest'
import { benchChecks } from '#core/chain'
import { createContext } from '#core/context'
import { validateReview } from '#core/review'
import { rulebooks } from '#core/rules'
import { benchKits, homeByLanguage, homes, radioKinds, rulebooksAt, startReview, wishes } from '#core/start'
import { stationById, wantedStations } from '#core/station'

const start = (answers: Partial<Parameters<typeof startReview>[0]> = {}, title = '') => {
  let count = 0
  return startReview(
    { kindId: 'dual-band-handheld', homeId: 'us', kitIds: [], wishId: 'clean', ...answers },
    { id: 'rev', title, at: '2026-11-27T10:00:00.000Z', newId: () => `id-${++count}` },
  )
}

const kinds = radioKinds.map(({ id }) => id)
const everywhere = kinds.flatMap(kindId => homes.map(home => [kindId, home.id] as const))

describe('a review in four answers', () => {
  it.each(everywhere)(
    '%s in %s is a review that can be opened again, with rules and a first step',
    (kindId, homeId) => {
      for (const { id: wishId } of wishes) {
        const { review, opens } = start({ kindId, homeId, wishId, kitIds: benchKits.map(({ id }) => id) })
        expect(validateReview(structuredClone(review))).toEqual(review)
        const context = createContext(review)
        expect(context.rulebooks.length).toBeGreaterThan(0)
        if (kindId === 'own') {
          expect(opens).toBeNull()
          continue
        }
        const set = review.sets.find(({ id }) => id === opens!.setId)!
        expect(wantedStations(context).map(({ id }) => id)).toContain(opens!.stationId)
        const [step] = stationById(opens!.stationId).plan(set, context)
        expect(Object.values(step!.chains).filter(id => id !== null).length).toBeGreaterThan(0)
      }
    },
  )

  it.each(everywhere)(
    '%s in %s: its channels lie in the bands of the service they are said to be of',
    (kindId, homeId) => {
      const home = homes.find(({ id }) => id === homeId)!
      const kind = radioKinds.find(({ id }) => id === kindId)!
      const { review } = start({ kindId, homeId })
      review.sets[0]?.bands.forEach((band, i) => {
        const books = rulebooksAt(home, kind.bands[i]!.service).map(id =>
          rulebooks.find(book => book.id === id)!,
        )
        for (const { frequencyHz } of band.channels) {
          const isIn = books.some(
            ({ bands }) =>
              bands.length === 0 ||
              bands.some(({ fromHz, toHz }) => frequencyHz >= fromHz && frequencyHz <= toHz),
          )
          // 1.25 m is no amateur band outside the Americas: said nowhere, so the rules there do not speak of it.
          expect([band.name, frequencyHz, isIn]).toEqual([
            band.name,
            frequencyHz,
            band.name !== '1.25 m' || isIn,
          ])
        }
      })
    },
  )

  it('fills in what such sets have, and leaves “not said” what nobody said', () => {
    const [set] = start().review.sets
    expect(set!.bands.map(({ name }) => name)).toEqual(['2 m', '70 cm'])
    expect(set!.bands[0]!.claims).toEqual({
      high: { kind: 'watts', powerW: 5 },
      low: { kind: 'watts', powerW: 1 },
    })
    expect(set!.bands.every(({ receives }) => receives.length === 0)).toBe(true)
    expect(start({ kindId: 'airband-handheld' }).review.sets[0]!.bands[0]!.claims).toEqual({
      high: { kind: 'not-said' },
    })
  })

  it('the rules follow from where one lives, and from nothing else', () => {
    const books = (homeId: string, kindId = 'dual-band-handheld') =>
      start({ homeId, kindId }).review.settings.rulebookIds
    expect(books('us')).toEqual(['us-amateur'])
    expect(books('eu')).toEqual(['eu-amateur'])
    expect(books('uk', '27-mhz')).toEqual(['eu-cb', 'uk-cb'])
    expect(books('elsewhere', 'marine')).toEqual(['itu-spurious'])
  })

  it.each(benchKits.map(({ id }) => id))('%s: no part of it is harmed by five watts for a minute', kitId => {
    const { review } = start({ kitIds: [kitId] })
    for (const chain of review.chains) {
      const instrument = review.instruments.find(({ id }) => id === chain.instrumentId)!
      if (instrument.kind === 'audio-meter' || instrument.kind === 'signal-generator') continue
      const found = benchChecks({
        ...{ chain, instrument, carrierHz: 146.52e6, powerW: 5, powerFrom: 'claim' },
        ...{ harmonicLimitDbm: -16, highestHarmonic: instrument.kind === 'spectrum-analyser' ? 10 : 1 },
      })
      expect(found.filter(({ severity }) => severity === 'danger')).toEqual([])
    }
  })

  it('is called what it is called, or by its radio', () => {
    expect(start({}, '  Marshals ').review.title).toBe('Marshals')
    expect(start().review.title).toBe('A review: dual-band handheld')
    expect(start({ kindId: 'own' }).review.title).toBe('A review')
  })

  it.each([
    ['en-US', 'us'],
    ['fr-CA', 'ca'],
    ['en-GB', 'uk'],
    ['de', 'eu'],
    ['sv-FI', 'eu'],
    // El Salvador and Brazil are not in Europe, whatever their letters.
    ['es-SV', 'elsewhere'],
    ['pt-BR', 'elsewhere'],
    ['no such language', 'elsewhere'],
  ])('%s is spoken in %s', (language, home) => {
    expect(homeByLanguage(language)).toBe(home)
  })

  it('refuses an answer nobody offers', () => {
    for (const answers of [{ kindId: 'x' }, { homeId: 'x' }, { wishId: 'x' }, { kitIds: ['x'] }])
      expect(() => start(answers)).toThrowError(expect.objectContaining({ code: 'unknown-id' }))
  })
})
