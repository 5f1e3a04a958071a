import 'fake-indexeddb/auto'
import { createPinia, defineStore, setActivePinia } from 'pinia'
import { beforeEach } from 'vitest'
import * as vue from 'vue'

// Nuxt brings these in by itself; here they stand in the global scope.
Object.assign(globalThis, {
  computed: vue.computed,
  defineAsyncComponent: vue.defineAsyncComponent,
  ref: vue.ref,
  shallowRef: vue.shallowRef,
  shallowReadonly: vue.shallowReadonly,
  readonly: vue.readonly,
  onScopeDispose: vue.onScopeDispose,
  watch: vue.watch,
  watchEffect: vue.watchEffect,
  nextTick: vue.nextTick,
  reactive: vue.reactive,
  markRaw: vue.markRaw,
  toRaw: vue.toRaw,
  useTemplateRef: vue.useTemplateRef,
  onMounted: vue.onMounted,
  onBeforeUnmount: vue.onBeforeUnmount,
  defineStore,
  useRuntimeConfig: () => ({ public: { version: '0.1.0', demo: false } }),
})
const { useUiStore } = await import('~/stores/ui')
Object.assign(globalThis, { useUiStore })

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
})
