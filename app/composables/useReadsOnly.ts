import type { InjectionKey } from 'vue'

const key: InjectionKey<Ref<boolean>> = Symbol('reads only')
const no = ref(false)

/** Says to all fields inside that whoever is here reads and types nothing. */
export const provideReadsOnly = (reads: Ref<boolean>): void => provide(key, reads)
export const useReadsOnly = (): Ref<boolean> => inject(key, no)
