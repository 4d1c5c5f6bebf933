#!/usr/bin/env bash
# Makes what follows from the code: the interface's API types, the open file's schema and the
# sources register. With `check`, says whether what is committed is current.
. "$(dirname "$0")/lib.sh"
cd "$ROOT"
out=$ROOT
if [ "${1:-}" = check ]; then out=$(mktemp -d); trap 'rm -rf "$out"' EXIT; fi
mkdir -p bin "$out/docs" "$out/web/src/lib/api"
go run ./cmd/jiriki describe openapi >bin/openapi.json
go run ./cmd/jiriki describe schema >"$out/docs/open-file.schema.json"
go run ./cmd/jiriki describe sources >"$out/docs/sources.md"
go test -count=1 -run TestTheTableOfDangersIsPublished ./core/assess -args -dangers "$out/docs/dangers.md" >/dev/null
go test -count=1 -run TestTheTableOfAnswersIsPublished ./core/judge -args -answers "$out/docs/answers.md" >/dev/null
go run ./cmd/jiriki describe fields >"$out/web/src/lib/api/fields.ts"
(cd web && npx openapi-typescript ../bin/openapi.json -o "$out/web/src/lib/api/schema.d.ts" >/dev/null)
if [ "$out" != "$ROOT" ]; then
  for f in docs/open-file.schema.json docs/sources.md docs/dangers.md docs/answers.md web/src/lib/api/schema.d.ts \
    web/src/lib/api/fields.ts; do
    cmp -s "$f" "$out/$f" || fail "$f is not current; run make types"
  done
fi
