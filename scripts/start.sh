#!/usr/bin/env bash
# npm start: sets up, builds, starts the database, loads the demo once, serves. Ctrl-C stops all of it.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
scripts/setup.sh
scripts/build.sh

was_running=no; scripts/pg.sh status >/dev/null 2>&1 && was_running=yes
stop() { [ "$was_running" = yes ] || scripts/pg.sh stop; }
trap stop EXIT
NUXT_DATABASE_URL="$(scripts/pg.sh start | tail -1)"
export NUXT_DATABASE_URL
npx tsx db/set-up.ts

# The key that seals session cookies is made once and stays on this machine.
mkdir -p .data
[ -s .data/session-key ] || (umask 077; node -e 'console.log(require("crypto").randomBytes(32).toString("hex"))' > .data/session-key)
NUXT_SESSION_PASSWORD="$(cat .data/session-key)"
export NUXT_SESSION_PASSWORD NUXT_DEMO=true NITRO_HOST="${HOST:-127.0.0.1}" NITRO_PORT="${PORT:-3100}"
if node -e 'require("net").connect(Number(process.argv[1]),"127.0.0.1").on("connect",()=>process.exit(0)).on("error",()=>process.exit(1))' "$NITRO_PORT"; then
  echo "Port $NITRO_PORT is taken. Choose another: PORT=3200 npm start" >&2
  exit 1
fi
echo "Upper Deck is at http://$NITRO_HOST:$NITRO_PORT (Ctrl-C stops it)"
node .output/server/index.mjs &
server=$!
trap 'kill $server 2>/dev/null; wait $server 2>/dev/null; stop' EXIT
trap 'exit 0' INT TERM
wait $server
