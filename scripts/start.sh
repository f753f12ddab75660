#!/usr/bin/env bash
# npm start: sets up, builds, starts the database, loads the demo once, serves and stays by it. Ctrl-C stops all of it.
#   npm start -- --lan       on the local network too, over TLS with a certificate made on this machine
#   UPPER_DECK_DEMO=no       no demo: the first owner joins by a link that is printed
#   PORT=3200 HOST=127.0.0.1 elsewhere
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
scripts/setup.sh
exec node scripts/serve.mjs "$@"
