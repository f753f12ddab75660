#!/usr/bin/env bash
# The project's own PostgreSQL cluster, on loopback: start | stop | status | psql | owner [DATABASE] | secret NAME | reset DATABASE | destroy
# Works as root (steps down to the OS user "postgres") and as an ordinary user. `start` copes with a cluster that is
# running already or that died, and prints the address of the database for the app as its last line; `owner` that for migrations.
# The app's role owns no table: it can't alter, truncate or rewrite history. Its secrets are made once and stay on this machine.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
DB="${UPPER_DECK_DATABASE:-upper_deck}"; ROLE=upper_deck; OWNER=upper_deck_owner
SECRETS="$ROOT/.data/secrets"
BIN="$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)"
[ -x "$BIN/initdb" ] || { echo "No PostgreSQL server found. Give: apt-get install -y postgresql" >&2; exit 2; }

if [ "$(id -u)" = 0 ]; then
  OSUSER=postgres
  as() { ( cd / && runuser -u "$OSUSER" -- "$@" ); }       # cd /: the user may not be able to read our folder
else
  OSUSER="$(id -un)"
  as() { "$@"; }
fi

# The data lie inside the project where that OS user can reach it, else in a folder of their own under /var/tmp.
TAG="$(printf '%s' "$ROOT" | cksum | cut -d' ' -f1)"
PGHOME="$ROOT/.data/pg"
if [ "$(id -u)" = 0 ]; then
  mkdir -p "$PGHOME"; chown "$OSUSER" "$PGHOME"
  as test -w "$PGHOME" || PGHOME="/var/tmp/upper-deck-pg-$TAG"
fi
# A socket's path may have at most 107 bytes, so a deep project folder needs a short one.
DATA="$PGHOME/data"; SOCK="$PGHOME/s"; LOG="$PGHOME/log"
[ "${#SOCK}" -le 80 ] || SOCK="/tmp/upper-deck-pg-$TAG"

running() { as "$BIN/pg_ctl" -D "$DATA" status >/dev/null 2>&1; }
# Line 4 of the running server's pid file is its port.
port() { as sed -n 4p "$DATA/postmaster.pid"; }
free_port() { node -e 'const net=require("net");const at=p=>{const s=net.createServer();s.once("error",()=>at(p+1));s.listen(p,"127.0.0.1",()=>s.close(()=>console.log(p)))};at(Number(process.argv[1]))' "$1"; }
q() { PGDATABASE=postgres as "$BIN/psql" -X -q -h "$SOCK" -p "$(port)" -U "$OSUSER" -v ON_ERROR_STOP=1 "$@"; }
secret() {
  mkdir -p "$SECRETS"; chmod 700 "$SECRETS"
  [ -s "$SECRETS/$1" ] || ( umask 077; node -e 'console.log(require("crypto").randomBytes(24).toString("hex"))' > "$SECRETS/$1" )
  cat "$SECRETS/$1"
}
address() { echo "postgres://$1:$(secret "$1")@127.0.0.1:$(port)/$2"; }
ensure_roles() {
  local role
  for role in "$OWNER" "$ROLE"; do
    [ "$(q -Atc "select 1 from pg_roles where rolname='$role'")" = 1 ] || q -c "create role $role login"
    # By standard input: a command line can be read by everybody on the machine.
    echo "alter role $role password '$(secret "$role")'" | q
  done
  # Whoever waits is answered in time, also where something went wrong; a pooler may stand between, so that the role has them and no connection.
  q -c "alter role $ROLE set statement_timeout = '20s'" -c "alter role $ROLE set lock_timeout = '8s'" -c "alter role $ROLE set idle_in_transaction_session_timeout = '30s'"
}
ensure() {
  ensure_roles
  [ "$(q -Atc "select 1 from pg_database where datname='$1'")" = 1 ] || q -c "create database \"$1\" owner $OWNER"
  # Databases of earlier versions belong to the app's role.
  [ "$(q -Atc "select pg_get_userbyid(datdba) from pg_database where datname='$1'")" = "$OWNER" ] || q -d "$1" -c "reassign owned by $ROLE to $OWNER"
  address "$ROLE" "$1"
}

case "${1:-}" in
start)
  mkdir -p "$PGHOME" "$SOCK"
  [ "$(id -u)" != 0 ] || chown "$OSUSER" "$PGHOME" "$SOCK"
  chmod 700 "$PGHOME" "$SOCK"
  as test -f "$DATA/PG_VERSION" || as "$BIN/initdb" -D "$DATA" -U "$OSUSER" --auth-host=scram-sha-256 --auth-local=peer -E UTF8 --locale=C.UTF-8 >/dev/null
  if ! running; then
    as "$BIN/pg_ctl" -D "$DATA" -l "$LOG" -w -t 60 \
      -o "-p $(free_port 54329) -c listen_addresses=127.0.0.1 -c unix_socket_directories='$SOCK'" start >/dev/null \
      || { echo "PostgreSQL did not start. The end of its log:" >&2; as tail -5 "$LOG" >&2; exit 1; }
  fi
  ensure "$DB" ;;
secret)  secret "$2" ;;
owner)   address "$OWNER" "${2:-$DB}" ;;
reset)   q -c "drop database if exists \"$2\" with (force)"; ensure "$2" ;;
stop)    if running; then as "$BIN/pg_ctl" -D "$DATA" -m fast -w -t 60 stop >/dev/null; fi ;;
status)  as "$BIN/pg_ctl" -D "$DATA" status ;;
psql)    shift; as "$BIN/psql" -h "$SOCK" -p "$(port)" -U "$OSUSER" -d "$DB" "$@" ;;
destroy) "$0" stop; rm -rf "${DATA:?}" "$SOCK" "$LOG" ;;
*) echo "usage: $0 start|stop|status|psql|owner [DATABASE]|secret NAME|reset DATABASE|destroy" >&2; exit 64 ;;
esac
