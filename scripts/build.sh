#!/usr/bin/env bash
# Builds the interface and puts it, with the server, into bin/jiriki.
. "$(dirname "$0")/lib.sh"
cd "$ROOT/web"
newest=$(find src index.html package-lock.json vite.config.ts -newer dist/site/index.html -print -quit 2>/dev/null || echo none)
if [ ! -e dist/site/index.html ] || [ -n "$newest" ]; then npx vite build --logLevel warn || fail "the interface did not build"; fi
cd "$ROOT"
# Without libc: its threads would each reserve megabytes, and the program then runs on any Linux.
CGO_ENABLED=0 go build -o bin/jiriki ./cmd/jiriki || fail "the server did not build"
