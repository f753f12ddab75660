#!/usr/bin/env bash
# Brings a fresh Debian machine with Node.js and this checkout to where the app can be built and run.
# usage: setup.sh [chromium]      Installs only what is missing, so a second run is quick.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."

missing=()
ls /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || missing+=(postgresql)
if [ "${1:-}" = chromium ]; then [ -x /usr/bin/chromium ] || missing+=(chromium); [ -x /usr/sbin/pgbouncer ] || missing+=(pgbouncer); fi

if [ "${#missing[@]}" -gt 0 ]; then
  install="apt-get update && apt-get install -y --no-install-recommends ${missing[*]}"
  echo "Installing Debian packages: ${missing[*]}"
  if [ "$(id -u)" = 0 ]; then DEBIAN_FRONTEND=noninteractive bash -c "$install" >/dev/null
  elif sudo -n true 2>/dev/null; then sudo -n env DEBIAN_FRONTEND=noninteractive bash -c "$install" >/dev/null
  else
    echo "This needs Debian packages that you may not install. Give this command, then start again:" >&2
    echo "  sudo sh -c '$install'" >&2
    exit 1
  fi
fi

# npm keeps a copy of the lock inside node_modules; a newer lock, or none inside, means that packages are out of date.
if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  echo "Installing packages."
  NUXT_TELEMETRY_DISABLED=1 npm ci --no-audit --no-fund --loglevel=error
  touch node_modules/.package-lock.json
fi
