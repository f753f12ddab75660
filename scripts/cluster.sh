# What every script knows of the project's own PostgreSQL cluster; sourced, not run.
# Works as root (steps down to the OS user "postgres") and as an ordinary user.
# The app's role owns no table: it can't alter, truncate or rewrite history. Secrets are made once and stay on this machine.
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
DB="${UPPER_DECK_DATABASE:-upper_deck}"; ROLE=upper_deck; OWNER=upper_deck_owner
SECRETS="$ROOT/.data/secrets"
OUTBOX="${NUXT_OUTBOX:-$ROOT/.data/outbox}"
# Not on PATH in a plain Debian.
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
PGHOME="${UPPER_DECK_PG_HOME:-$ROOT/.data/pg}"
if [ "$(id -u)" = 0 ]; then
  mkdir -p "$PGHOME"; chown "$OSUSER" "$PGHOME"
  as test -w "$PGHOME" || PGHOME="/var/tmp/upper-deck-pg-$TAG"
fi
# A socket's path may have at most 107 bytes, so a deep project folder needs a short one.
DATA="$PGHOME/data"; SOCK="$PGHOME/s"; LOG="$PGHOME/log"
[ "${#SOCK}" -le 80 ] || SOCK="/tmp/upper-deck-pg-$TAG"

# A server that was killed where nobody collects dead processes still has its number and its lock: neither counts, and the lock goes.
lock_of_the_dead() {
  local pid
  pid="$(as head -1 "$DATA/postmaster.pid" 2>/dev/null)" && grep -q '^State:[[:space:]]*Z' "/proc/$pid/status" 2>/dev/null
}
running() { as "$BIN/pg_ctl" -D "$DATA" status >/dev/null 2>&1 && ! lock_of_the_dead; }
# Line 4 of the running server's pid file is its port.
port() { as sed -n 4p "$DATA/postmaster.pid"; }
# That of before where it is free: a server that runs on is looking for it there.
last_port() { as cat "$DATA/postmaster.opts" 2>/dev/null | grep -oP '"-p" "\K[0-9]+' || echo 54329; }
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

# Every table of a database with its number of rows and a sum over all of them, so that two can be compared.
contents() {
  local tables
  tables="$(q -d "$1" -Atc "select string_agg(format('select %L as t, count(*), coalesce(sum((''x'' || substr(md5(r::text), 1, 15))::bit(60)::bigint), 0) from %I r', tablename, tablename), ' union all ') from pg_tables where schemaname = 'public'")"
  [ -z "$tables" ] || q -d "$1" -Atc "$tables order by 1"
}
