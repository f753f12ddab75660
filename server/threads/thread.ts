import { readlinkSync } from 'node:fs'
import { setPriority } from 'node:os'
import { type TaskName, tasks } from './tasks'

/** What is worked out gives way to whoever asks. */
const NICE = 10
try {
  setPriority(Number(readlinkSync('/proc/thread-self').split('/').at(-1)), NICE)
}
catch {
  // Another system than Linux has no such place; then all are equal.
}

/** What runs in each thread: one task at a time. It is bundled by itself: a thread that loaded the server would be a second one. */
export default async ({ name, data }: { name: TaskName, data: never }): Promise<unknown> => await tasks[name](data)
