import type { Job } from '#core/job'

/** Which face of the open job is in hand: named in the address, so that a reload and a link keep it; else the first. */
export function useFaceChoice(job: Ref<Pick<Job, 'faces'> | null>) {
  const route = useRoute()
  const index = computed(() => Math.max(0, job.value?.faces.findIndex(face => face.id === route.query.face) ?? 0))
  const choose = (faceId: string) => navigateTo({ path: route.path, query: { face: faceId } })
  return { index, choose }
}

/** The address of a rung, keeping the face in hand. */
export function useStagePath() {
  const route = useRoute()
  return (jobId: string, stage: string) => ({ path: `/jobs/${jobId}/${stage}`, query: route.query.face ? { face: route.query.face } : {} })
}
