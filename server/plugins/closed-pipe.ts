/**
 * Whoever read what the server says may be gone, as when a terminal closes or a log's reader ends. What is written then fails; without
 * somebody to hear it, that failure is written to the same closed pipe, and so on without end, at the cost of a processor and all memory.
 */
export default defineNitroPlugin(() => {
  for (const stream of [process.stdout, process.stderr]) stream.on('error', () => {})
})
