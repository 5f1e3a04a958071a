import { describe, expect, it } from 'vitest'
import { fewNames, highestClaimW, nameBeside, newBand, setName, setShortName } from '#core/review'
import { radio } from '../../support/bench'

const named = (make: string, model: string, sample = '') => radio({ make, model, sample })
const numbers = (count: number) => Array.from({ length: count }, (_unused, i) => `${i + 1}`)

describe('what a radio is called', () => {
  it.each([
    ['Osmere', 'Trek 2', 'B', 'Osmere Trek 2, sample B', 'Trek 2, sample B'],
    ['Osmere', 'Trek 2', '', 'Osmere Trek 2', 'Trek 2'],
    ['Osmere', '', 'B', 'Osmere, sample B', 'Osmere, sample B'],
    ['', '', '', 'Unnamed set', 'Unnamed set'],
    // A number alone tells nobody which radio it is.
    ['Osmere', '410', 'B', 'Osmere 410, sample B', 'Osmere 410, sample B'],
    ['Osmere', '410 S', '', 'Osmere 410 S', '410 S'],
  ])('“%s” “%s” “%s”', (make, model, sample, whole, short) => {
    expect(setName(named(make, model, sample))).toBe(whole)
    expect(setShortName(named(make, model, sample))).toBe(short)
  })

  it('among samples of one model the sample alone, beside another model the model too', () => {
    const [a, b] = [named('Osmere', 'Trek 2', 'A'), named('Osmere', 'Trek 2', 'B')]
    expect(nameBeside(b, [a, b])).toBe('sample B')
    expect(nameBeside(b, [a, b, named('Osmere', 'Mini', 'A')])).toBe('Trek 2, sample B')
    expect(nameBeside(b, [b, named('Tarnwick', 'Trek 2', 'B')])).toBe('Trek 2, sample B')
    expect(nameBeside(named('Osmere', 'Trek 2'), [a, named('Osmere', 'Trek 2')])).toBe('Trek 2')
  })

  it('up to nine names are read, of more eight and how many are left', () => {
    expect(fewNames(numbers(9))).toBe('1, 2, 3, 4, 5, 6, 7, 8, 9')
    expect(fewNames(numbers(10))).toBe('1, 2, 3, 4, 5, 6, 7, 8 and 2 more')
    expect(fewNames(numbers(2), ' and ')).toBe('1 and 2')
  })
})

describe('the highest power a card claims', () => {
  it('is the highest of all bands and levels, and none where the maker says none', () => {
    expect(highestClaimW(radio({}, { claimW: null }))).toBeNull()
    const set = radio({}, { claimW: 5 })
    const other = newBand({ id: 'other', name: '70 cm', levelIds: ['high', 'low'] })
    other.claims = { high: { kind: 'watts', powerW: 8 }, low: { kind: 'watts', powerW: 1 } }
    expect(highestClaimW({ ...set, bands: [...set.bands, other] })).toBe(8)
    expect(highestClaimW({ ...set, bands: [other, ...set.bands] })).toBe(8)
  })
})
