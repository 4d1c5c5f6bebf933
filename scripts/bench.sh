#!/usr/bin/env bash
# The figures of the quality bars: assessment in core, over HTTP with 8 clients, what a first load
# weighs, and what a person feels.
. "$(dirname "$0")/lib.sh"
cd "$ROOT"
"$ROOT/scripts/install.sh"
# Garbage is collected at the pace it is as served (GCPercent of the server).
GOGC=400 go test ./core/... -run '^$' -bench . -count 5 | grep -E '^(pkg|cpu|Benchmark)'
cluster="bench-$$"
trap '"$ROOT/scripts/postgres.sh" drop "$cluster"' EXIT
TEST_DATABASE_URL=$("$ROOT/scripts/postgres.sh" start "$cluster" createdb)
export TEST_DATABASE_URL
go test ./server -run '^$' -bench OverHTTP -benchtime 2000x -count 3
# What a person waits for with a workshop of 300 machines with three plans each and a thousand parts.
go test ./server -run '^$' -bench Large -benchtime 10x
"$ROOT/scripts/build.sh"
script=0
for f in web/dist/site/assets/*.js; do script=$((script + $(gzip -9 -c "$f" | wc -c))); done
printf 'script of a first load: %d kB gzip\n' $(((script + 500) / 1000))
# From a key to the figures painted, and the frames of a drag, in a browser.
"$ROOT/scripts/install.sh" test
cd "$ROOT/e2e" && npx playwright test --config speed.config.ts
# A dry run beside SciPy's, where Debian's python3-scipy is installed or can be.
if ! /usr/bin/python3 -c 'import scipy' 2>/dev/null && command -v apt-get >/dev/null 2>&1; then
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq python3-scipy >>"$ROOT/var/install.log" 2>&1 || true
fi
if /usr/bin/python3 -c 'import scipy' 2>/dev/null; then "$ROOT/scripts/bench_scipy.sh"; else echo "python3-scipy is missing: no dry run beside it"; fi
