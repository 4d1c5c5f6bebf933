#!/usr/bin/env bash
# Runs every fuzz target for so many seconds each (60 unless told) and prints how often it was tried.
#   fuzz.sh [SECONDS]
. "$(dirname "$0")/lib.sh"
seconds=${1:-60}
"$ROOT/scripts/install.sh"
cd "$ROOT"
git ls-files '*_test.go' | xargs grep -HoE '^func Fuzz[A-Za-z]+' | while IFS=: read -r file func; do
  target=${func#func }
  # What is found interesting is not made smaller: for texts as long as these that takes longer than finding it.
  out=$(go test "./$(dirname "$file")" -run '^$' -fuzz "^$target\$" -fuzztime "${seconds}s" -fuzzminimizetime 1x 2>&1) || { echo "$out"; fail "$target failed"; }
  printf '%-16s %s\n' "$target" "$(grep -oE 'execs: [0-9]+' <<<"$out" | tail -n 1)"
done
