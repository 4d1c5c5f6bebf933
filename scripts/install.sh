#!/usr/bin/env bash
# Installs what is missing: Debian's PostgreSQL (and Chromium with `test`), Go modules, npm packages.
. "$(dirname "$0")/lib.sh"

# version picks the first number with a dot, or without, out of what a tool says.
version() { "$@" 2>/dev/null | grep -oE '[0-9]+(\.[0-9]+)*' | head -n 1; }

need go Go 1.26 "$(version go env GOVERSION)"
need node Node.js 20 "$(version node --version)"
need npm npm 9 "$(version npm --version)"
need git git
ensure_room "$ROOT"
ensure_dir "$ROOT/var"
log="$ROOT/var/install.log"

wanted=()
want() { wanted+=("$@"); }
ls /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || want postgresql
command -v psql >/dev/null 2>&1 || want postgresql-client
if [ "${1:-}" = test ]; then
  [ -x /usr/bin/chromium ] || want chromium
  command -v pdftotext >/dev/null 2>&1 || want poppler-utils
  # The race detector is linked by a C compiler.
  command -v gcc >/dev/null 2>&1 || want gcc libc6-dev
fi
if [ "${#wanted[@]}" -gt 0 ]; then
  command -v apt-get >/dev/null 2>&1 || fail "missing ${wanted[*]}, and this is no Debian to install them on"
  echo "installing ${wanted[*]} (what apt says goes to var/install.log)"
  as_root apt-get update -qq >>"$log" 2>&1 || fail "could not refresh Debian's package lists; see var/install.log"
  # Debian would start a cluster of its own on installing the server; ours is kept under var/.
  as_root mkdir -p /etc/postgresql-common
  [ -e /etc/postgresql-common/createcluster.conf ] || as_root sh -c 'echo "create_main_cluster = false" > /etc/postgresql-common/createcluster.conf'
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "${wanted[@]}" >>"$log" 2>&1 || fail "could not install ${wanted[*]}; see var/install.log"
fi
postgres=$(ls -d /usr/lib/postgresql/*/bin/postgres | sort -V | tail -n 1)
need "$postgres" PostgreSQL 15 "$(version "$postgres" --version)"
[ "${1:-}" != test ] || need chromium Chromium 110 "$(version chromium --version --no-sandbox)"

npm_install() {
  local dir=$1 stamp="$1/node_modules/.installed"
  if [ ! -e "$stamp" ] || [ "$dir/package-lock.json" -nt "$stamp" ]; then
    (cd "$dir" && PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --no-audit --no-fund --loglevel=error) || fail "npm could not install what $dir needs"
    touch "$stamp"
  fi
}
npm_install "$ROOT/web"
[ "${1:-}" = test ] && npm_install "$ROOT/e2e"
(cd "$ROOT" && go mod download) || fail "Go modules could not be fetched"
