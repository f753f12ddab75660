#!/usr/bin/env bash
# npm run restore -- FOLDER [--replace]: a backup into this machine's database, compared row by row with what was backed up.
set -euo pipefail
. "$(dirname "${BASH_SOURCE[0]}")/cluster.sh"
cd "$ROOT"
folder="${1:-}"; replace="${2:-}"
[ -f "$folder/database.dump" ] || { echo "Name the folder of a backup: npm run restore -- .data/backups/…" >&2; exit 64; }
( cd "$folder" && sha256sum --quiet -c checksums.txt ) || { echo "The backup in $folder is damaged: its checksums don’t match. Take another." >&2; exit 1; }
[ ! -f "$folder/pictures.tar" ] || [ -n "${NUXT_PICTURES:-}" ] || { echo "Photographs of this backup lay in a folder: set NUXT_PICTURES to where they are to lie, and restore again. Nothing was changed." >&2; exit 1; }
was_running=no; running && was_running=yes
scripts/pg.sh start > /dev/null
trap '[ "$was_running" = yes ] || scripts/pg.sh stop' EXIT
there=f
[ "$(q -d "$DB" -Atc "select to_regclass('jobs') is not null")" != t ] || there="$(q -d "$DB" -Atc "select exists (select from jobs)")"
if [ "$there" = t ] && [ "$replace" != --replace ]; then
  echo "There are jobs in the database of this machine. To put the backup in their place (they are kept as ${DB}_before): npm run restore -- $folder --replace" >&2
  exit 1
fi

# Beside what is there, and in its place only once it is whole.
fresh="${DB}_restored"
q -c "drop database if exists $fresh with (force)" -c "create database $fresh owner $OWNER"
as "$BIN/pg_restore" -h "$SOCK" -p "$(port)" -U "$OSUSER" -d "$fresh" --exit-on-error < "$folder/database.dump"
contents "$fresh" | diff - "$folder/contents.txt" > /dev/null || { echo "What was restored is not what was backed up; nothing was changed. Take another backup." >&2; exit 1; }
q -c "drop database if exists ${DB}_before with (force)"
q -c "select pg_terminate_backend(pid) from pg_stat_activity where datname = '$DB'" > /dev/null
q -c "alter database \"$DB\" rename to ${DB}_before" -c "alter database $fresh rename to \"$DB\""
# Sessions of then would let in whoever had one.
q -d "$DB" -c "delete from sessions"
if [ -f "$folder/pictures.tar" ]; then
  mkdir -p "$NUXT_PICTURES"; tar -C "$NUXT_PICTURES" -xf "$folder/pictures.tar"
fi
if [ -f "$folder/outbox.tar" ]; then
  mkdir -p "$OUTBOX"; chmod 700 "$OUTBOX"; tar -C "$OUTBOX" -xf "$folder/outbox.tar"
fi
echo "Restored from $folder: $(awk -F'|' '{ rows += $2 } END { print NR " tables, " rows " rows" }' "$folder/contents.txt"), each as it was backed up. What was there is kept as ${DB}_before. Everybody signs in again."
