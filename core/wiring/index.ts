/** What runs on the roof beside the modules: electronics, trunk cable, bonding. */
export { wiring, wiringOfJob } from './says'
