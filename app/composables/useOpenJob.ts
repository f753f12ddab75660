/** Opens a job for as long as the page stands. The promise is kept once the job is here, or what keeps it away is known. */
export function useOpenJob(jobId: string): Promise<void> {
  const store = useJobStore()
  const opened = store.open(jobId)
  const { turn } = store
  onBeforeUnmount(() => store.close(turn))
  return opened
}
