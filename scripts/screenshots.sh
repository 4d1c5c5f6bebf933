#!/usr/bin/env bash
# Takes docs/screenshots anew from the demo workshop.
. "$(dirname "$0")/lib.sh"
"$ROOT/scripts/install.sh" test
"$ROOT/scripts/build.sh"
cluster="shots-$$"
trap '"$ROOT/scripts/postgres.sh" drop "$cluster"' EXIT
TEST_DATABASE_URL=$("$ROOT/scripts/postgres.sh" start "$cluster" createdb)
export TEST_DATABASE_URL
mkdir -p "$ROOT/docs/screenshots"
cd "$ROOT/e2e" && npx playwright test --config screenshots.config.ts
