import { type TaskName, tasks } from './tasks'

/** What runs in each thread: one task at a time. It is bundled by itself: a thread that loaded the server would be a second one. */
export default async ({ name, data }: { name: TaskName, data: never }): Promise<unknown> => await tasks[name](data)
