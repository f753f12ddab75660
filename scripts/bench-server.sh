#!/usr/bin/env bash
# npm run bench:server [-- SECONDS]: the built server beside a bare handler that reads the same row; a soak of so many seconds (300);
# big jobs among many; writers on the same fact and on their own.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
scripts/setup.sh
scripts/build.sh
npx esbuild tests/bench/server.ts --bundle --platform=node --format=esm --packages=external --alias:#core=./core --outfile=node_modules/.cache/bench-server.mjs --log-level=error
exec node node_modules/.cache/bench-server.mjs "$@"
