#!/usr/bin/env bash
# Installs what is missing: Debian's PostgreSQL (and Chromium with `test`), Go modules, npm packages.
. "$(dirname "$0")/lib.sh"

for tool in go node npm; do
  command -v "$tool" >/dev/null 2>&1 || fail "$tool is missing; install Go 1.26 and Node 20 or newer first"
done
ensure_room "$ROOT"

wanted=()
ls /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || wanted+=(postgresql)
if [ "${1:-}" = test ]; then
  [ -x /usr/bin/chromium ] || wanted+=(chromium)
  command -v pdftotext >/dev/null 2>&1 || wanted+=(poppler-utils)
fi
if [ "${#wanted[@]}" -gt 0 ]; then
  command -v apt-get >/dev/null 2>&1 || fail "missing ${wanted[*]}, and this is no Debian to install them on"
  echo "installing ${wanted[*]}"
  as_root apt-get update -qq || fail "could not refresh Debian's package lists"
  # Debian would start a cluster of its own on installing the server; ours is kept under var/.
  as_root mkdir -p /etc/postgresql-common
  [ -e /etc/postgresql-common/createcluster.conf ] || as_root sh -c 'echo "create_main_cluster = false" > /etc/postgresql-common/createcluster.conf'
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "${wanted[@]}" >/dev/null || fail "could not install ${wanted[*]}"
fi

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
