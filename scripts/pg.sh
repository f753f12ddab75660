#!/usr/bin/env bash
# The project's own PostgreSQL cluster, on loopback: start | stop | status | psql | owner [DATABASE] | secret NAME | reset DATABASE | destroy
# `start` copes with a cluster that is running already or that died, and prints the address of the database for the app as its last
# line; `owner` that for migrations.
set -euo pipefail
. "$(dirname "${BASH_SOURCE[0]}")/cluster.sh"

case "${1:-}" in
start)
  if [ -e "$DATA" ] && [ "$(stat -c %U "$DATA")" != "$OSUSER" ]; then
    echo "The database in $DATA belongs to the user $(stat -c %U "$DATA"), and you are $(id -un). Start Upper Deck as who you were then, or give: sudo chown -R $OSUSER $PGHOME" >&2
    exit 1
  fi
  mkdir -p "$PGHOME" "$SOCK"
  [ "$(id -u)" != 0 ] || chown "$OSUSER" "$PGHOME" "$SOCK"
  chmod 700 "$PGHOME" "$SOCK"
  as test -f "$DATA/PG_VERSION" || as "$BIN/initdb" -D "$DATA" -U "$OSUSER" --auth-host=scram-sha-256 --auth-local=peer -E UTF8 --locale=C.UTF-8 >/dev/null
  if ! running; then
    # Its children see that it is gone and end by themselves.
    if lock_of_the_dead; then sleep 1; as rm -f "$DATA/postmaster.pid" "$SOCK"/.s.PGSQL.*; fi
    as "$BIN/pg_ctl" -D "$DATA" -l "$LOG" -w -t 60 \
      -o "-p $(free_port "$(last_port)") -c listen_addresses=127.0.0.1 -c unix_socket_directories='$SOCK'" start >/dev/null \
      || { echo "PostgreSQL did not start. The end of its log:" >&2; as tail -5 "$LOG" >&2; exit 1; }
  fi
  ensure "$DB" ;;
secret)  secret "$2" ;;
owner)   address "$OWNER" "${2:-$DB}" ;;
reset)   q -c "drop database if exists \"$2\" with (force)"; ensure "$2" ;;
stop)    if running; then as "$BIN/pg_ctl" -D "$DATA" -m fast -w -t 60 stop >/dev/null; fi ;;
status)  running ;;
psql)    shift; as "$BIN/psql" -h "$SOCK" -p "$(port)" -U "$OSUSER" -d "$DB" "$@" ;;
destroy) "$0" stop; rm -rf "${DATA:?}" "$SOCK" "$LOG" ;;
*) echo "usage: $0 start|stop|status|psql|owner [DATABASE]|secret NAME|reset DATABASE|destroy" >&2; exit 64 ;;
esac
