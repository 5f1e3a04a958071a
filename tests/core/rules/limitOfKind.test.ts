import { describe, expect, it } from 'vitest'
import { limitOfKind, type PowerLimit } from '#core/rules'

const relative: PowerLimit = { kind: 'relative', attenuationDb: 43 }

describe('a limit of another kind keeps what can be kept', () => {
  it('goes inside a limit that holds one, and comes out again as what it was', () => {
    const floor = limitOfKind('not-below', relative)
    expect(floor).toEqual({ kind: 'not-below', powerW: 10e-6, limit: relative })
    expect(limitOfKind('by-emission', floor)).toMatchObject({
      segments: [{ limit: relative }, { limit: relative }],
    })
  })

  it('keeps its members between “all of these” and “whichever asks less”', () => {
    const all = limitOfKind('strictest', relative)
    expect(all).toMatchObject({ of: [relative, { kind: 'absolute' }] })
    expect(limitOfKind('loosest', all)).toEqual({ ...all, kind: 'loosest' })
    expect(limitOfKind('mask', all)).toMatchObject({ steps: [{ limit: relative }] })
  })
})
