import { planFile } from './plan-file'

const { status, out, err } = await planFile(process.argv[2], process.argv[3])
process.stdout.write(out)
process.stderr.write(err)
process.exitCode = status
