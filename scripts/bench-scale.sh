#!/usr/bin/env bash
# npm run bench:scale [-- FIRMS JOBS LARGEST]: a thousand firms and a hundred thousand jobs in one database, beside one firm with as many
# as LARGEST: list, open and edit at p95, the plans of the statements, and what was read past a firm's border.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
scripts/setup.sh
scripts/build.sh
npx esbuild tests/bench/scale.ts --bundle --platform=node --format=esm --packages=external --alias:#core=./core --outfile=node_modules/.cache/bench-scale.mjs --log-level=error
exec node node_modules/.cache/bench-scale.mjs "$@"
