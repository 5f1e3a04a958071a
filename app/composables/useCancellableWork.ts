import { plainWords } from '~/errors/plainWords'

/** Long work of which the latest counts: with its progress, stopped at will, told of in words when it fails. */
export function useCancellableWork() {
  /** 0 to 1 while something runs. */
  const progress = ref<number | null>(null)
  const problem = ref('')
  let latest = 0

  /** Runs a piece of work; null where it failed, or where it is no longer the latest. */
  async function run<T>(work: (onProgress: (share: number) => void) => Promise<T>): Promise<T | null> {
    const mine = ++latest
    problem.value = ''
    progress.value = 0
    try {
      const found = await work(share => {
        if (mine === latest) progress.value = share
      })
      return mine === latest ? found : null
    } catch (error) {
      if (mine === latest) problem.value = plainWords(error)
      return null
    } finally {
      if (mine === latest) progress.value = null
    }
  }

  /** What runs counts no more. */
  function stop(words: string): void {
    latest += 1
    progress.value = null
    problem.value = words
  }

  return { progress, problem, run, stop }
}
