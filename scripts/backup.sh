#!/usr/bin/env bash
# npm run backup [-- FOLDER]: the database with photographs and history, and the outbox, into a folder of their own; read back before it says so.
set -euo pipefail
. "$(dirname "${BASH_SOURCE[0]}")/cluster.sh"
cd "$ROOT"
was_running=no; running && was_running=yes
scripts/pg.sh start > /dev/null
check="upper_deck_check_$$"
trap 'q -c "drop database if exists $check with (force)" 2>/dev/null; [ "$was_running" = yes ] || scripts/pg.sh stop' EXIT

folder="${1:-.data/backups/$(date +%Y-%m-%d-%H%M%S)}"
[ ! -e "$folder/database.dump" ] || { echo "There is a backup in $folder already. Name another folder." >&2; exit 1; }
mkdir -p "$folder"; chmod 700 "$folder"
umask 077
# One transaction sees one state: what is written meanwhile is in the next backup.
as "$BIN/pg_dump" -h "$SOCK" -p "$(port)" -U "$OSUSER" -Fc -d "$DB" > "$folder/database.dump"
[ -z "${NUXT_PICTURES:-}" ] || tar -C "$NUXT_PICTURES" -cf "$folder/pictures.tar" .
[ ! -d "$OUTBOX" ] || tar -C "$OUTBOX" -cf "$folder/outbox.tar" .

# Read back into a database of its own, whole: what can't be restored is no backup.
q -c "create database $check owner $OWNER"
as "$BIN/pg_restore" -h "$SOCK" -p "$(port)" -U "$OSUSER" -d "$check" --exit-on-error < "$folder/database.dump"
contents "$check" > "$folder/contents.txt"
( cd "$folder" && sha256sum database.dump contents.txt $(ls pictures.tar outbox.tar 2>/dev/null) > checksums.txt )
echo "Backed up to $folder ($(du -sh "$folder" | cut -f1)), and read back: $(awk -F'|' '{ rows += $2 } END { print NR " tables, " rows " rows" }' "$folder/contents.txt")."
echo "It holds everything of every firm: keep it where only you read it, and a copy on another machine."
