#!/usr/bin/env bash
# npm run bench: times, measured on the code as it is shipped: bundled, without the test runner's wrappers. The first argument names
# another file of tests/bench, such as rails or belief.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
what="${1:-index}"
npx esbuild "tests/bench/$what.ts" --bundle --platform=node --format=esm --packages=external --alias:#core=./core --outfile="node_modules/.cache/bench-$what.mjs" --log-level=error
exec node "node_modules/.cache/bench-$what.mjs"
