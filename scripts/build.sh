#!/usr/bin/env bash
# Builds the app when its sources have changed since the last build.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
fingerprint="$(find app core server db public nuxt.config.ts package-lock.json -type f ! -name '*.test.ts' -print0 | sort -z | xargs -0 cksum | cksum)"
if [ "$(cat .output/fingerprint 2>/dev/null)" != "$fingerprint" ]; then
  echo "Building the app. The first time this takes a minute or two."
  NUXT_TELEMETRY_DISABLED=1 npx nuxt build --logLevel silent
  echo "$fingerprint" > .output/fingerprint
fi
