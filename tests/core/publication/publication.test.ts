import { webcrypto } from 'node:crypto'
import canonicalize from 'canonicalize'
import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import {
  canonicalPublication,
  canonicalReview,
  checkedState,
  checkedWords,
  checkPublications,
  differenceWords,
  keyFingerprint,
  publish,
  sha256Of,
  shortMark,
} from '#core/publication'
import {
  type Publication,
  type Review,
  type ReviewBundle,
  readReviewFile,
  writeReviewFile,
} from '#core/review'
import { analyser, harmonic, reviewOf } from '../../support/bench'

const AT = '2026-11-27T10:00:00.000Z'
const stamp = { id: 'p1', at: AT, who: 'Demo bench', note: 'a test', version: '1.0.0' }
const BENCH: Review = {
  ...reviewOf({ instrument: analyser({ toHz: 3e9, floorDbm: -120 }) }),
  readings: [harmonic(1, '-13.0'), ...[2, 3, 4, 5, 6, 7, 8, 9, 10].map(n => harmonic(n, '-85.0'))],
}
const bench = (): Review => structuredClone(BENCH)
const bundleOf = (review: Review): ReviewBundle => ({
  review,
  traces: new Map([['t1', { frequenciesHz: Float64Array.of(1, 2), levelsDbm: Float64Array.of(-3, -4) }]]),
  curves: new Map(),
  pictures: new Map(),
  clips: new Map(),
})
const withPublished = (bundle: ReviewBundle, ...publications: Publication[]): ReviewBundle => ({
  ...bundle,
  review: { ...bundle.review, publications },
})

let published: Publication
beforeAll(() => {
  published = publish(bundleOf(bench()), stamp)
})
const checkOf = (bundle: ReviewBundle, version = '1.0.0') => checkPublications(bundle, version)[0]!

describe('the marks of a publication', () => {
  it('hashes by SHA-256: “abc” as FIPS 180-4 has it (from memory)', async () => {
    expect(sha256Of('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad')
  })

  it('hashes text as UTF-8, as Node does', async () => {
    const text = '±5 µV — Ω 😀'
    const node = await webcrypto.subtle.digest('SHA-256', new TextEncoder().encode(text))
    expect(sha256Of(text)).toBe(Buffer.from(node).toString('hex'))
  })

  it('writes the canonical form of RFC 8785, section 3.2.2 and 3.2.3 (its example, from memory)', () => {
    const value = JSON.parse(
      '{"numbers":[333333333.33333329,1E30,4.50,2e-3,0.000000000000000000000000001],"string":"\\u20ac$\\u000F\\u000aA\'\\u0042\\u0022\\u005c\\\\\\"\\/","literals":[null,true,false]}',
    ) as unknown
    expect(canonicalize(value)).toBe(
      '{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27],"string":"€$\\u000f\\nA\'B\\"\\\\\\\\\\"/"}',
    )
  })

  it('does not hang on the order of keys, on when it was changed last, or on publishing itself', () => {
    const review = bench()
    const turned = Object.fromEntries(Object.entries(review).toReversed()) as unknown as Review
    const later = { ...turned, updatedAt: '2027-01-01T00:00:00.000Z', publications: [published] }
    expect(canonicalReview(later)).toBe(canonicalReview(review))
    expect(canonicalReview({ ...review, title: 'Another' })).not.toBe(canonicalReview(review))
  })

  it('has a mark that can be read out', () => {
    expect(shortMark({ sha256: '7f3a21c9'.padEnd(64, '0') })).toBe('7F3A-21C9')
  })
})

describe('a publication that is checked', () => {
  it('stands, also after it went through a file', async () => {
    const text = writeReviewFile(withPublished(bundleOf(bench()), published), { version: '1.0.0', at: AT })
    const checked = checkOf(readReviewFile(text, 'x.json'))
    expect(checkedState(checked)).toBe('stands')
    expect(checked.figureCount).toBe(10)
    expect(checkedWords(checked)).toContain('all 10 figures come out the same')
  })

  it('is found out when any one digit of any reading was changed', async () => {
    const whole = bench()
    await fc.assert(
      fc.asyncProperty(fc.nat(whole.readings.length - 1), fc.constantFrom(0.1, -0.1, 1), async (i, by) => {
        const readings = whole.readings.map((one, at) =>
          at === i && one.seen.as === 'level'
            ? { ...one, seen: { ...one.seen, levelDbm: one.seen.levelDbm + by } }
            : one,
        )
        const checked = checkOf(withPublished(bundleOf({ ...whole, readings } as Review), published))
        expect(checkedState(checked)).toBe('changed-since')
        expect(checked.differences.length).toBeGreaterThan(0)
      }),
      { numRuns: 12, seed: 20261127 },
    )
  })

  it('names what differs: 10 dB more at ×2 is outside by 4.0 dB less', async () => {
    const review = bench()
    const readings = review.readings.map(one =>
      one.slot === 'x2' && one.seen.as === 'level' ? { ...one, seen: { ...one.seen, levelDbm: -60 } } : one,
    ) as Review['readings']
    const { differences } = checkOf(withPublished(bundleOf({ ...review, readings }), published))
    expect(differences).toHaveLength(1)
    expect(differences[0]).toMatchObject({ isVerdict: true })
    expect(differences[0]!.before).toContain('Inside by 19.0')
    expect(differences[0]!.after).toContain('Outside by 6.0')
  })

  it('is found out when a trace beside it was changed, or is missing', async () => {
    const bundle = withPublished(bundleOf(bench()), published)
    const other = new Map([
      ['t1', { frequenciesHz: Float64Array.of(1, 2), levelsDbm: Float64Array.of(-3, -4.1) }],
    ])
    for (const traces of [other, new Map()]) {
      const checked = checkOf({ ...bundle, traces })
      expect(checked.changedAttachments).toEqual(['t1'])
      expect(checkedState(checked)).toBe('changed-since')
    }
  })

  it('says which versions are others now, and is no less true for it', async () => {
    const checked = checkOf(withPublished(bundleOf(bench()), published), '2.0.0')
    expect(checked.versions).toEqual(['Rigorous Meter 1.0.0 then, 2.0.0 now'])
    expect(checkedState(checked)).toBe('stands')
  })

  it('differs where the figures themselves were written otherwise', async () => {
    const [first, ...rest] = published.figures
    const forged = { ...published, figures: [{ ...first!, words: '1 W' }, ...rest] }
    expect(checkedState(checkOf(withPublished(bundleOf(bench()), forged)))).toBe('figures-differ')
  })

  it('counts figures and verdicts in words', () => {
    const one = { set: '', station: '', place: '', before: '', after: '', isVerdict: false }
    expect(differenceWords([])).toBe('no figure differs')
    expect(differenceWords([one])).toBe('1 figure differs, no verdict')
    expect(differenceWords([one, { ...one, isVerdict: true }])).toBe('2 figures differ, 1 verdict among them')
  })
})

describe('a signature', () => {
  const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256' }

  /** Signed by Node, which has another implementation than the one that looks whether it fits. */
  async function signedBy(publication: Publication): Promise<Publication> {
    const { privateKey, publicKey } = await webcrypto.subtle.generateKey(ALGORITHM, false, ['sign', 'verify'])
    const message = new TextEncoder().encode(canonicalPublication(publication))
    const value = await webcrypto.subtle.sign({ name: 'ECDSA', hash: 'SHA-256' }, privateKey, message)
    const raw = await webcrypto.subtle.exportKey('raw', publicKey)
    return {
      ...publication,
      signature: {
        publicKey: Buffer.from(raw).toString('base64'),
        value: Buffer.from(value).toString('base64'),
      },
    }
  }

  it('fits what another program signed, many times over', async () => {
    for (let i = 0; i < 8; i++) {
      const checked = checkOf(withPublished(bundleOf(bench()), await signedBy(published)))
      expect(checked.signature).toBe('good')
      expect(checkedState(checked)).toBe('stands')
    }
  })

  it('fits no more when anything of the publication was changed, be it the hash or a figure', async () => {
    const signed = await signedBy(published)
    const [first, ...rest] = signed.figures
    const forgeries: Publication[] = [
      { ...signed, who: 'Somebody else' },
      { ...signed, sha256: signed.sha256.replace(/^./, char => (char === '0' ? '1' : '0')) },
      { ...signed, figures: [{ ...first!, words: '1 W' }, ...rest] },
      { ...signed, signature: (await signedBy({ ...published, note: 'other' })).signature },
      { ...signed, signature: { publicKey: 'AAAA', value: 'AAAA' } },
    ]
    for (const forged of forgeries) {
      const checked = checkOf(withPublished(bundleOf(bench()), forged))
      expect(checkedState(checked)).toBe('tampered')
    }
  })

  it('has a fingerprint of the key that others work out alike', async () => {
    const { signature } = await signedBy(published)
    const node = await webcrypto.subtle.digest('SHA-256', Buffer.from(signature!.publicKey, 'base64'))
    const hex = Buffer.from(node).toString('hex').slice(0, 32).toUpperCase()
    expect(keyFingerprint(signature!).replaceAll(' ', '')).toBe(hex)
  })
})
