import type { FacePlan, Plan } from '#core/plan'

/** Faces that both ends keep, the longest unused going first. */
const MOST_KEPT = 64

/** A plan on its way between threads: of its faces only those go along that the other end does not have. */
export interface PlanNews { rest: Omit<Plan, 'faces'>, faces: { token: number, plan: FacePlan | null }[] }

/** Keeps things by token as both ends do: told in the same order, they keep and forget the same. */
class Kept<T> {
  readonly #kept = new Map<number, T>()
  get(token: number): T | undefined {
    return this.#kept.get(token)
  }

  put(token: number, thing: T): void {
    this.#kept.delete(token)
    this.#kept.set(token, thing)
    for (const old of this.#kept.keys()) {
      if (this.#kept.size <= MOST_KEPT) break
      this.#kept.delete(old)
    }
  }
}

/** The end that plans: says of each plan what is new. */
export function planTeller(): (plan: Plan) => PlanNews {
  const tokens = new WeakMap<FacePlan, number>()
  const kept = new Kept<true>()
  let next = 0
  return ({ faces, ...rest }) => ({
    rest,
    faces: faces.map((plan) => {
      const token = tokens.get(plan) ?? next++
      tokens.set(plan, token)
      const isKept = kept.get(token)
      kept.put(token, true)
      return { token, plan: isKept ? null : plan }
    }),
  })
}

/** The end that shows: puts plans together from what is new and what it has. */
export function planListener(): (news: PlanNews) => Plan {
  const kept = new Kept<FacePlan>()
  return ({ rest, faces }) => ({
    ...rest,
    faces: faces.map(({ token, plan }) => {
      const face = plan ?? kept.get(token)
      if (!face) throw new Error('A face of the plan was lost between the threads.')
      kept.put(token, face)
      return face
    }),
  })
}
