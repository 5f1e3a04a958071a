import { expect, it } from 'vitest'
import { createContext } from '#core/context'
import { stationById } from '#core/station'
import { benchDesk, type BenchDeskInput } from '~/link/benchDesk'
import { kindLinkId } from '~/link/links'
import { reviewOf } from '../support/bench'

const SERIAL = { via: 'serial', baudRate: 9600, vendorId: null, productId: null } as const

/** A desk at the battery of a radio, as after one press of L. */
function desk(change: Partial<BenchDeskInput> = {}) {
  const context = createContext(reviewOf())
  const step = stationById('battery').plan(context.review.sets[0]!, context)[0]!
  return benchDesk({
    ...{ step: () => step, context: () => context, books: [], seed: 1, practice: null },
    ...{ links: { [kindLinkId('supply')]: SERIAL }, keyedSince: () => null, goesOn: async () => true },
    ...change,
  })
}

it('asks hands of a real radio for each thing it is to do, and takes a second press of L as done', async () => {
  const first = desk()
  expect(await first.radio('squelched')).toBeNull()
  expect(await first.radio('squelched')).toBeNull()
  expect(await first.radio('squelch-open')).toBe(
    'Now open its squelch, the volume where it usually is; then L.',
  )
  expect(await desk().radio('squelch-open')).toBeNull()
})

it('reads no current of a keyed radio while nobody keys, and none of a listening one while somebody does', async () => {
  expect(await desk().radio('keyed')).toMatch(/^Key the radio first \(Space\)/)
  expect(await desk({ keyedSince: () => 1 }).radio('keyed')).toBeNull()
  expect(await desk({ keyedSince: () => 1 }).radio('squelched')).toBe('Release the radio first.')
})

it('asks for nothing on a simulated bench: its radio does at once what it is told', async () => {
  const simulated = desk({ links: { [kindLinkId('supply')]: { via: 'virtual' } } })
  for (const does of ['squelched', 'squelch-open', 'keyed', 'keyed-with-tone'] as const)
    expect(await simulated.radio(does)).toBeNull()
})
