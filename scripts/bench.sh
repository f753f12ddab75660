#!/usr/bin/env bash
# npm run bench: times, measured on the code as it is shipped: bundled, without the test runner's wrappers.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
npx esbuild tests/bench/index.ts --bundle --platform=node --format=esm --packages=external --alias:#core=./core --outfile=node_modules/.cache/bench.mjs --log-level=error
exec node node_modules/.cache/bench.mjs
