#!/usr/bin/env bash
# npm test: sets up, then lint, types, unit tests and cross-checks, browser tests on a database of their own.
# The last line is the sum over all of them.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
scripts/setup.sh chromium
was_running=no; scripts/pg.sh status >/dev/null 2>&1 && was_running=yes
trap '[ "$was_running" = yes ] || scripts/pg.sh stop' EXIT
scripts/pg.sh start >/dev/null
NUXT_DATABASE_URL="$(scripts/pg.sh reset upper_deck_test | tail -1)"
UPPER_DECK_OWNER_URL="$(scripts/pg.sh owner upper_deck_test)"
export NUXT_DATABASE_URL UPPER_DECK_OWNER_URL NUXT_TELEMETRY_DISABLED=1
npx tsx db/set-up.ts
node scripts/run-tests.mjs
