#!/usr/bin/env bash
# npm run dev: the app with hot reloading on the same database as npm start.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
scripts/setup.sh
NUXT_DATABASE_URL="$(scripts/pg.sh start | tail -1)"
UPPER_DECK_OWNER_URL="$(scripts/pg.sh owner)"
NUXT_SESSION_PASSWORD="$(scripts/pg.sh secret session)"
export NUXT_DATABASE_URL UPPER_DECK_OWNER_URL NUXT_SESSION_PASSWORD NUXT_DEMO=true NUXT_TELEMETRY_DISABLED=1
npx tsx db/set-up.ts
exec npx nuxt dev --host 127.0.0.1 --port "${PORT:-3101}"
