/** Something that is asked of the office by a form: whether it is on its way, and what is wrong with it. */
export function useAsking() {
  const busy = ref(false)
  const problem = ref('')
  /** @returns what was answered, or undefined where it was refused or the office was not reached */
  async function ask<T>(request: () => Promise<T>, unreached = 'The office can’t be reached. Try again in a minute.'): Promise<T | undefined> {
    busy.value = true
    problem.value = ''
    try {
      return await request()
    }
    catch (failure) {
      problem.value = sentencesFrom(failure, unreached)
      return undefined
    }
    finally {
      busy.value = false
    }
  }
  return { busy, problem, ask }
}
