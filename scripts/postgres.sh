#!/usr/bin/env bash
# A PostgreSQL cluster of our own on loopback.
#   postgres.sh start NAME [createdb]   starts it (making it first) and prints its URL
#   postgres.sh stop NAME               stops it
#   postgres.sh drop NAME               stops it and throws it away
# It lives in var/NAME, never runs as root, and never touches another program's cluster. The only one it
# lets in is the role jiriki_app, which owns the database jiriki and nothing else, by a password that
# stands in var/NAME.pass for whoever made it to read. With createdb, for tests, that role may make
# databases of its own, and nothing is kept over a crash of the machine.
. "$(dirname "$0")/lib.sh"

action=${1:?start, stop or drop}
name=${2:?a name for the cluster}
createdb=${3:-}

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
pass="$home/$name.pass"
role=jiriki_app
databases=jiriki
[ -z "$createdb" ] || databases=all
rule="host $databases $role 127.0.0.1/32 scram-sha-256"

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

# alone feeds statements, one a line, to a server that listens to nobody else. What is there already is
# no fault.
alone() { as_db "$bin/postgres" --single -D "$cluster" "$1" >>"$home/$name.log" 2>&1 || fail "PostgreSQL could not be set up; see $home/$name.log"; }

# lock_up makes the role and its password and lets nobody else in. A cluster of an older version, which
# let everybody in as its superuser, is handed over to the role with all that is in it.
lock_up() {
  local password
  stop
  password=$(od -An -N24 -tx1 /dev/urandom | tr -d ' \n')
  printf '%s\n' "CREATE ROLE $role" "ALTER ROLE $role LOGIN NOSUPERUSER ${createdb:+CREATEDB} PASSWORD '$password'" \
    "CREATE DATABASE jiriki OWNER $role" "ALTER DATABASE jiriki OWNER TO $role" | alone postgres
  # Sequences go with their tables.
  echo "DO \$\$ DECLARE t regclass; BEGIN FOR t IN SELECT oid FROM pg_class WHERE relnamespace = 'public'::regnamespace AND relkind = 'r' LOOP EXECUTE format('ALTER TABLE %s OWNER TO $role', t); END LOOP; END \$\$" | alone jiriki
  (umask 077 && echo "127.0.0.1:*:*:$role:$password" >"$pass")
  echo "$rule" | as_db tee "$cluster/pg_hba.conf" >/dev/null
}

locked_up() { [ -s "$pass" ] && [ "$(as_db cat "$cluster/pg_hba.conf")" = "$rule" ]; }

start() {
  ensure_dir "$home"
  ensure_room "$home"
  if [ ! -s "$cluster/PG_VERSION" ]; then
    mkdir -p "$cluster" && [ "$user" = "$(id -un)" ] || chown "$user" "$cluster"
    as_db "$bin/initdb" -D "$cluster" -U postgres --auth=reject --encoding=UTF8 --locale=C.UTF-8 >/dev/null ||
      fail "could not make a database cluster in $cluster"
  fi
  [ -e "$home/$name.log" ] || { touch "$home/$name.log" && chmod 600 "$home/$name.log"; }
  locked_up || lock_up
  if ! running; then
    port=$(free_port)
    # Sweeping up would hold on to databases that a test throws away.
    local careless=${createdb:+-c fsync=off -c autovacuum=off}
    as_db "$bin/pg_ctl" -D "$cluster" -l "$cluster/server.log" -w -t 60 \
      -o "-c listen_addresses=127.0.0.1 -c port=$port -c unix_socket_directories='' $careless" start >/dev/null ||
      fail "PostgreSQL did not start; see $cluster/server.log"
  fi
  port=$(as_db sed -n 4p "$cluster/postmaster.pid")
  url="postgres://$role@127.0.0.1:$port/jiriki?sslmode=disable&passfile=$(in_url "$pass")"
  psql "$url" -qc 'SELECT 1' >/dev/null || fail "the database does not let us in; remove $pass and start again"
  echo "$url"
}

stop() { ! running || as_db "$bin/pg_ctl" -D "$cluster" -m fast -w stop >/dev/null; }

case $action in
  start) start ;;
  stop) stop ;;
  drop) stop; rm -rf "$cluster" "$pass" "$home/$name.log" ;;
  *) fail "start, stop or drop, not $action" ;;
esac
