import { writeFileSync } from 'node:fs'
import { monitorEventLoopDelay } from 'node:perf_hooks'

/** Loaded into a server that is measured: at SIGUSR2 it writes down how long its loop was held up since the last time, ms, and begins anew. */
const delay = monitorEventLoopDelay({ resolution: 5 })
delay.enable()
process.on('SIGUSR2', () => {
  const ms = value => value / 1e6
  writeFileSync(process.env.LOOP_DELAY_FILE, JSON.stringify({ p50: ms(delay.percentile(50)), p99: ms(delay.percentile(99)), max: ms(delay.max) }))
  delay.reset()
})
