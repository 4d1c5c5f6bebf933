#!/usr/bin/env bash
# Would the tests notice? Changes one figure or one identifier of the core at a time, on a copy, and prints
# the changes no test fails on. Words after it pick changes by what their line says.
. "$(dirname "$0")/lib.sh"
"$ROOT/scripts/install.sh"
cd "$ROOT"
go run ./scripts/mutants -root "$ROOT" "$@"
