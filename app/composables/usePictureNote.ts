import type { PictureNote } from '#core/plot'

/** What stands under a picture of the open review: who measured, when, with what. */
export function usePictureNote() {
  const store = useReviewStore()
  const version = String(useRuntimeConfig().public.version)
  return computed<PictureNote>(() => {
    const { reviewer = '', title = '', readings = [] } = store.review ?? {}
    const days = readings.map(({ at }) => at.slice(0, 10)).sort()
    const last = readings.at(-1)
    const conditions = [last?.supply ?? '', typeof last?.ambientC !== 'number' ? '' : `${last.ambientC} °C`]
    const who = [reviewer, title, days.at(-1) ?? '', ...conditions, `Rigorous Meter ${version}`]
      .filter(Boolean)
      .join(' · ')
    return { who }
  })
}
