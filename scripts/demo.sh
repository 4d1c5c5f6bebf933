#!/usr/bin/env bash
# Serves the demo workshop on loopback in the background and prints the address.
. "$(dirname "$0")/lib.sh"
port=${PORT:-7420}
"$ROOT/scripts/stop.sh" server
"$ROOT/scripts/install.sh"
ensure_dir "$ROOT/var"
"$ROOT/scripts/build.sh"
if (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; then fail "port $port is taken; try make demo PORT=$((port + 1))"; fi
url=${DATABASE_URL:-$("$ROOT/scripts/postgres.sh" start postgres)}
DATABASE_URL=$url "$ROOT/bin/jiriki" demo
umask 077 # its log and its number are nobody else's
DATABASE_URL=$url nohup "$ROOT/bin/jiriki" serve --addr "127.0.0.1:$port" >"$ROOT/var/server.log" 2>&1 </dev/null &
echo $! >"$ROOT/var/server.pid"
chmod 600 "$ROOT/var/server.log" "$ROOT/var/server.pid" # those of an older start too
for _ in $(seq 100); do
  if (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; then
    echo "Jiriki is at http://127.0.0.1:$port  (make stop ends it)"
    exit 0
  fi
  kill -0 "$(cat "$ROOT/var/server.pid")" 2>/dev/null || fail "the server ended: $(tail -n 1 "$ROOT/var/server.log")"
  sleep 0.1
done
fail "the server did not answer; see var/server.log"
