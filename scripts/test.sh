#!/usr/bin/env bash
# Everything CI checks: formatting, vet, staticcheck, Go tests with the race detector against a
# throw-away cluster, what is generated, the interface's types and lint, and the journeys.
. "$(dirname "$0")/lib.sh"
cd "$ROOT"
step() { printf '\n== %s (%ss)\n' "$1" "$SECONDS"; }

step 'set-up'
"$ROOT/scripts/install.sh" test
# Each run has a cluster of its own, so two checkouts or a demo beside it never meet.
cluster="test-$$"
trap '"$ROOT/scripts/postgres.sh" drop "$cluster"' EXIT
TEST_DATABASE_URL=$("$ROOT/scripts/postgres.sh" start "$cluster" createdb)
export TEST_DATABASE_URL

step 'who the database lets in'
"$ROOT/scripts/check-postgres.sh"

step 'gofmt, vet, staticcheck'
unformatted=$(git ls-files "*.go" | xargs gofmt -l)
[ -z "$unformatted" ] || fail "not gofmt-ed: $unformatted"
go vet -tags long ./...
go tool staticcheck -tags long ./...

step 'what is generated is current'
"$ROOT/scripts/generate.sh" check

step 'interface: types, lint and unit tests'
(cd web && npm run -s check && npm run -s lint && npm run -s test)
(cd e2e && npm run -s check && npm run -s lint)

step 'Go tests'
long=$(git grep -hoP '^func \KTest\w+' -- '*_long_test.go' | paste -sd'|')
go test -race ./...
# Thousands of plans, trials and recordings: nothing in them runs at once, so nothing to race.
go test -tags long -run "$long" ./core/build ./core/fault ./core/trial

step 'build'
"$ROOT/scripts/build.sh"

step 'journeys'
(cd e2e && CI="${CI:-}" npx playwright test)
step 'done'
