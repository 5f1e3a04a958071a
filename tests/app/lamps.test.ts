import type { Step } from '#core/step'
import { createContext } from '#core/context'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref, type Ref } from 'vue'
import { demoReview } from '#core/demo'
import type { KeyDown } from '#core/review'
import { stationById } from '#core/station'
import { useHeatLamps } from '~/composables/useHeatLamps'
import { type HeaderLamp, lampsFrom } from '~/composables/useLamps'

const { review } = demoReview()
const mini = review.sets.find(({ id }) => id === 'mini')!
const down = (seconds: number, agoS: number): KeyDown => ({
  id: `d${agoS}`,
  setId: 'mini',
  stepId: 'carrier-power:2m:2m-2:high',
  chainId: 'power',
  at: new Date(Date.now() - agoS * 1000).toISOString(),
  seconds,
  powerW: 3,
})

/** The lamps a component would show with these key-downs on record. */
function lampsWith(keyDowns: KeyDown[], step: Step | null): HeaderLamp[] {
  const context = createContext({ ...review, keyDowns })
  Object.assign(globalThis, { useReviewStore: () => ({ context }) })
  let lamps: Ref<HeaderLamp[]> | null = null
  mount(
    defineComponent({
      setup() {
        lamps = useHeatLamps(ref(step) as Ref<Step | null>)
        return () => h('p')
      },
    }),
  ).unmount()
  return lamps!.value
}

describe('the header’s lamps', () => {
  const context = createContext(review)
  const step = stationById('carrier-power').plan(mini, context)[0]!

  beforeEach(() => {
    vi.restoreAllMocks()
  })

  it('are dark while nothing was keyed, and away from the stations', () => {
    expect(lampsWith([], step)).toEqual([])
    expect(lampsWith([down(60, 0)], null)).toEqual([])
  })

  it('warn of a radio that was keyed half as long as it may be', () => {
    const [lamp] = lampsWith([down(40, 5)], step)
    expect(lamp).toMatchObject({ severity: 'caution' })
    expect(lamp!.text).toMatch(/^Radio \d+ % warm$/)
  })

  it('ask for rest at its limit, and go out when it has rested', () => {
    expect(lampsWith([down(60, 0)], step)[0]).toMatchObject({
      severity: 'danger',
      text: expect.stringContaining('let it rest') as string,
    })
    expect(lampsWith([down(60, 130)], step)).toEqual([])
  })

  it('of the checks come gravest first, with the supply behind', () => {
    const check = (id: string, severity: 'ok' | 'danger', lamp: string | null) => ({
      id,
      severity,
      title: '',
      text: '',
      lamp,
      partId: null,
    })
    expect(
      lampsFrom([check('a', 'danger', 'Pad too small'), check('b', 'ok', null)], 'battery full').map(
        ({ text }) => text,
      ),
    ).toEqual(['Pad too small', 'battery full'])
    expect(lampsFrom([], '')).toEqual([{ text: 'Supply not recorded', severity: 'note' }])
    expect(lampsFrom([], null)).toEqual([])
  })
})
