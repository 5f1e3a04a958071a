import { sayBuild } from '~/storage/build'

/** While it is developed the program changes under one name. */
export default defineNuxtPlugin(() => {
  if (!import.meta.dev) sayBuild(useRuntimeConfig().app.buildId)
})
