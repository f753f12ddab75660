#!/usr/bin/env bash
# npm run bench:page: bytes, first paint and the way from a key to the paint, of the built app and of a bare page of the same stack.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
scripts/setup.sh chromium
scripts/build.sh
echo "Building the bare page."
NUXT_TELEMETRY_DISABLED=1 npx nuxt build tests/bench/bare --logLevel silent

was_running=no; scripts/pg.sh status >/dev/null 2>&1 && was_running=yes
servers=()
stop() { for one in "${servers[@]}"; do kill "$one" 2>/dev/null || true; done; [ "$was_running" = yes ] || scripts/pg.sh stop; }
trap stop EXIT
scripts/pg.sh start > /dev/null
NUXT_DATABASE_URL="$(scripts/pg.sh reset upper_deck_bench | tail -1)"
UPPER_DECK_OWNER_URL="$(scripts/pg.sh owner upper_deck_bench)"
export NUXT_DATABASE_URL UPPER_DECK_OWNER_URL
npx tsx db/set-up.ts > /dev/null
NUXT_SESSION_PASSWORD="$(head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n')" NUXT_DEMO=true NITRO_HOST=127.0.0.1 NITRO_PORT=3191 node .output/server/index.mjs > /dev/null &
servers+=($!)
NITRO_HOST=127.0.0.1 NITRO_PORT=3192 node node_modules/.cache/bare/output/server/index.mjs > /dev/null &
servers+=($!)
npx tsx tests/bench/page.ts http://127.0.0.1:3191 http://127.0.0.1:3192
