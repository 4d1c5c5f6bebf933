#!/usr/bin/env bash
# Tries a whole server from outside, on a database of its own:
#   proof.sh bodies   bodies made to fill its memory, a crowd, and an overload; prints the peaks
#   proof.sh mixed    a crowd that writes all sorts of things at once
#   proof.sh large    a workshop of many years, written out and brought back each way
#   proof.sh slow     files that drip in, and what they must not hold up
#   proof.sh readings readings at 5 kHz for a minute, all there and in order
#   proof.sh old      programs that know less, set upon a newer workshop
#   proof.sh kills    20 kills of server and database while people save
# Without a word it does all of them.
. "$(dirname "$0")/lib.sh"
"$ROOT/scripts/install.sh"
"$ROOT/scripts/build.sh"
for what in "${@:-bodies mixed large slow readings old kills}"; do
  for one in $what; do
    cluster="proof-$one-$$"
    trap '"$ROOT/scripts/postgres.sh" drop "$cluster"' EXIT
    url=$("$ROOT/scripts/postgres.sh" start "$cluster")
    (cd "$ROOT" && go run ./scripts/proof --root "$ROOT" --cluster "$cluster" --url "$url" "$one")
    "$ROOT/scripts/postgres.sh" drop "$cluster"
    trap - EXIT
  done
done
