#!/usr/bin/env bash
# A PostgreSQL cluster of our own on loopback.
#   postgres.sh start NAME   starts it (making it first) and prints its URL
#   postgres.sh stop NAME    stops it
#   postgres.sh drop NAME    stops it and throws it away
# It lives in var/NAME, never runs as root, and never touches another program's cluster.
. "$(dirname "$0")/lib.sh"

action=${1:?start, stop or drop}
name=${2:?a name for the cluster}

bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)
[ -n "$bin" ] || fail "PostgreSQL is not installed; run make demo or scripts/install.sh"

user=$(id -un)
home="$ROOT/var"
if [ "$(id -u)" -eq 0 ]; then
  user=postgres
  id postgres >/dev/null 2>&1 || fail "there is no postgres user to run the database as; install Debian's postgresql"
  # The server must not be root; where the checkout is closed to others, keep the cluster beside it in /var/tmp.
  ensure_dir "$home"
  chmod 755 "$home"
  runuser -u postgres -- test -x "$home" || home="/var/tmp/jiriki-$(printf %s "$ROOT" | cksum | cut -d' ' -f1)"
fi
cluster="$home/$name"

# as_db runs a command as the cluster's owner.
as_db() { if [ "$user" = "$(id -un)" ]; then "$@"; else (cd / && runuser -u "$user" -- "$@"); fi; }

running() { [ -d "$cluster" ] && as_db "$bin/pg_ctl" -D "$cluster" status >/dev/null 2>&1; }

free_port() {
  local port
  for port in $(seq 54320 54399); do
    (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null || { echo "$port"; return; }
  done
  fail "no free port between 54320 and 54399 for PostgreSQL"
}

start() {
  ensure_dir "$home"
  ensure_room "$home"
  if [ ! -s "$cluster/PG_VERSION" ]; then
    mkdir -p "$cluster" && [ "$user" = "$(id -un)" ] || chown "$user" "$cluster"
    as_db "$bin/initdb" -D "$cluster" -U jiriki --auth=trust --encoding=UTF8 --locale=C.UTF-8 >/dev/null ||
      fail "could not make a database cluster in $cluster"
  fi
  if ! running; then
    port=$(free_port)
    as_db "$bin/pg_ctl" -D "$cluster" -l "$cluster/server.log" -w -t 60 \
      -o "-c listen_addresses=127.0.0.1 -c port=$port -c unix_socket_directories=''" start >/dev/null ||
      fail "PostgreSQL did not start; see $cluster/server.log"
  fi
  port=$(as_db sed -n 4p "$cluster/postmaster.pid")
  url="postgres://jiriki@127.0.0.1:$port"
  if ! psql "$url/jiriki" -qc 'SELECT 1' >/dev/null 2>&1; then
    psql "$url/postgres" -qc 'CREATE DATABASE jiriki' >/dev/null || fail "could not make the database"
  fi
  echo "$url/jiriki?sslmode=disable"
}

stop() { ! running || as_db "$bin/pg_ctl" -D "$cluster" -m fast -w stop >/dev/null; }

case $action in
  start) start ;;
  stop) stop ;;
  drop) stop; rm -rf "$cluster" ;;
  *) fail "start, stop or drop, not $action" ;;
esac
