#!/usr/bin/env bash
# Checks that a cluster of an older version, which let everybody in, is moved over with nothing lost and
# lets in only its role afterwards, and that a lost password is made anew.
. "$(dirname "$0")/lib.sh"
name="check-$$"
start() { "$ROOT/scripts/postgres.sh" start "$name"; }
trap '"$ROOT/scripts/postgres.sh" drop "$name"' EXIT

# As it was made before: a superuser jiriki, and trust for all on loopback.
url=$(start)
"$ROOT/scripts/postgres.sh" stop "$name"
pass=$(printf '%b' "$(sed -n 's/.*passfile=//p' <<<"$url" | sed 's/%/\\x/g')")
cluster=${pass%.pass}
owner=$(stat -c %U "$cluster")
as_owner() { if [ "$owner" = "$(id -un)" ]; then "$@"; else (cd / && runuser -u "$owner" -- "$@"); fi; }
bin=$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -n 1)
rm -r "$cluster" "$pass"
if [ "$owner" != "$(id -un)" ]; then install -d -o "$owner" "$cluster"; fi
as_owner "$bin/initdb" -D "$cluster" -U jiriki --auth=trust --encoding=UTF8 --locale=C.UTF-8 >/dev/null
printf '%s\n' 'CREATE DATABASE jiriki' | as_owner "$bin/postgres" --single -D "$cluster" postgres >/dev/null 2>&1
printf '%s\n' 'CREATE TABLE kept (id bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY, said text)' "INSERT INTO kept (said) VALUES ('what was typed')" |
  as_owner "$bin/postgres" --single -D "$cluster" jiriki >/dev/null 2>&1

url=$(start)
ask() { psql "$1" -Atqc "$2"; }
expect() { [ "$2" = "$3" ] || fail "$1: $2, not $3"; }
expect 'what was kept' "$(ask "$url" 'SELECT said FROM kept')" 'what was typed'
expect 'adding to it' "$(ask "$url" "INSERT INTO kept (said) VALUES ('more') RETURNING id")" 2
expect 'a superuser' "$(ask "$url" 'SELECT usesuper FROM pg_user WHERE usename = current_user')" f
expect 'owner of the table' "$(ask "$url" "SELECT tableowner FROM pg_tables WHERE tablename = 'kept'")" jiriki_app
expect 'who may read the password' "$(stat -c '%a %U' "$pass")" "600 $(id -un)"
at=$(sed -E 's#.*@([^/]*)/.*#\1#' <<<"$url")
for who in jiriki postgres jiriki_app; do
  for database in jiriki postgres; do
    ! PGPASSFILE=/dev/null psql -w "postgres://$who@$at/$database" -c 'SELECT 1' >/dev/null 2>&1 || fail "$who is let into $database without a password"
  done
done
rm "$pass"
expect 'after a lost password' "$(ask "$(start)" 'SELECT count(*) FROM kept')" 2
echo 'the cluster lets in its role and nobody else; an older one was moved over'
