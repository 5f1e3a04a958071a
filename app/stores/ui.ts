import { plainWords } from '~/errors/plainWords'
import type { BenchCheck } from '#core/chain'
import { usePreferredDark, useStorage } from '@vueuse/core'

/** A key-down that is going on: of which step, since when. */
export interface KeyedNow {
  setId: string
  stepId: string
  /** Milliseconds of the clock. */
  since: number
}

export type NoticeTone = 'plain' | 'problem'

export interface Notice {
  text: string
  tone: NoticeTone
  action: { label: string; run: () => void } | null
}

/** What belongs to the screen and to no review: theme, dialogs, the one notice at the foot. */
export const useUiStore = defineStore('ui', () => {
  const choice = useStorage<'day' | 'night' | 'auto'>('rigorous-meter:theme', 'auto')
  const prefersDark = usePreferredDark()
  const notice = shallowRef<Notice | null>(null)
  const keysOpen = ref(false)
  const findOpen = ref(false)

  /** A key-down that is going on, for whoever follows the clock. */
  const keyedNow = shallowRef<KeyedNow | null>(null)

  /** Checks of the chain in view at the bench check, for the header's lamps. */
  const benchChecks = shallowRef<BenchCheck[]>([])

  /** Puts a newer version of the application in force; null while there is none. */
  const newVersion = shallowRef<(() => void) | null>(null)

  const themeName = computed(() => {
    if (choice.value === 'auto') {
      if (prefersDark.value) return 'night'
      return 'day'
    }
    return choice.value
  })

  function toggleTheme(): void {
    choice.value = themeName.value === 'day' ? 'night' : 'day'
  }

  function say(text: string, action: Notice['action'] = null): void {
    notice.value = { text, tone: 'plain', action }
  }

  function sayProblem(error: unknown): void {
    notice.value = {
      text: plainWords(error),
      tone: 'problem',
      action: null,
    }
  }

  function hush(): void {
    notice.value = null
  }

  return {
    choice,
    themeName,
    notice,
    keysOpen,
    findOpen,
    keyedNow,
    benchChecks,
    newVersion,
    toggleTheme,
    say,
    sayProblem,
    hush,
  }
})
