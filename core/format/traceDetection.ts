import type { Detection, Display } from '../uncertainty'

/** What a file’s head may say of how its points show a level, the surest first. */
const WORDS: readonly (readonly [RegExp, Display])[] = [
  [/max(imum)?[\s_-]*hold/i, 'highest'],
  [/detect[a-z]*\W{0,4}(positive|\+?peak|max)/i, 'highest'],
  [/detect[a-z]*\W{0,4}(rms|average|avg|mean)|power[\s_-]*av/i, 'mean'],
  [/detect[a-z]*\W{0,4}sampl/i, 'sample'],
  [/(log(arithmic)?|video)[\s_-]*av/i, 'logarithm'],
]
const COUNT = /(?:sweeps|averages|count|hold)\D{0,12}(\d{1,6})/i

/** How a trace shows a level, as the head of its file says; null where it does not. */
export function detectionIn(lines: readonly string[]): Detection | null {
  for (const line of lines)
    for (const [words, shows] of WORDS)
      if (words.test(line)) {
        const looks = Number(COUNT.exec(line)?.[1] ?? 0)
        return { shows, looks: shows !== 'sample' && looks > 0 ? looks : null }
      }
  return null
}
