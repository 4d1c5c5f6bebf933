#!/usr/bin/env bash
# Stops the server started by demo.sh and, unless told "server", its database.
. "$(dirname "$0")/lib.sh"
pidfile="$ROOT/var/server.pid"
if [ -e "$pidfile" ]; then
  pid=$(cat "$pidfile")
  # The number may have gone to another program since; only ours is ended.
  if [ "$(readlink "/proc/$pid/exe" 2>/dev/null | sed 's/ (deleted)$//')" = "$ROOT/bin/jiriki" ]; then
    kill "$pid"
    for _ in $(seq 100); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
  fi
  rm -f "$pidfile"
fi
if [ "${1:-}" != server ] && ls /usr/lib/postgresql/*/bin >/dev/null 2>&1; then "$ROOT/scripts/postgres.sh" stop postgres; fi
