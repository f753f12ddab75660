#!/usr/bin/env bash
# Builds the app when its sources have changed since the last build that came to its end.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
mkdir -p .data
exec 9> .data/building
flock -n 9 || { echo "Another build is under way here; this one waits for it."; flock 9; }
fingerprint="$(find app core server db public nuxt.config.ts package-lock.json -type f ! -name '*.test.ts' -print0 | sort -z | xargs -0 cksum | cksum)"
if [ "$(cat .output/fingerprint 2>/dev/null)" != "$fingerprint" ]; then
  echo "Building the app. The first time this takes a minute or two."
  # A build that is killed leaves no fingerprint, so that the next start builds again.
  rm -f .output/fingerprint
  NUXT_TELEMETRY_DISABLED=1 npx nuxt build --logLevel silent 9>&- || { echo "The app could not be built. What is wrong stands above; when it is mended, give the same command again." >&2; exit 1; }
  echo "$fingerprint" > .output/fingerprint
fi
