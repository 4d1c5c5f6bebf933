# Shared by the scripts beside it: one clear line when something is missing, and the paths.
set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
export ROOT

fail() { printf 'jiriki: %s\n' "$*" >&2; exit 1; }

# as_root runs a command as root: directly, or through sudo when there is one.
as_root() {
  if [ "$(id -u)" -eq 0 ]; then "$@"
  elif command -v sudo >/dev/null 2>&1; then sudo "$@"
  else fail "needs root for: $* (install sudo, or run it as root yourself)"
  fi
}

# ensure_dir makes a folder of ours, or says why it cannot.
ensure_dir() {
  mkdir -p "$1" 2>/dev/null && [ -w "$1" ] || fail "cannot write in $1; make it writable or run from another folder"
}

# ensure_room stops early on a full disk.
ensure_room() {
  local free
  free=$(df -Pk "$1" | awk 'NR==2{print $4}')
  [ "${free:-0}" -gt 1048576 ] || fail "less than 1 GB free where $1 is; make room first"
}

# in_url writes a path as it stands in an address.
in_url() {
  local text=$1 out='' c i LC_ALL=C
  for ((i = 0; i < ${#text}; i++)); do
    c=${text:i:1}
    case $c in
      [a-zA-Z0-9/._~-]) out+=$c ;;
      *) out+=$(printf '%%%02X' "'$c") ;;
    esac
  done
  printf %s "$out"
}

# need says which tool is missing, or too old for what is done with it.
#   need COMMAND WHAT [LEAST VERSION-IT-SAYS]
need() {
  local command=$1 what=$2 least=${3:-} has=${4:-}
  command -v "$command" >/dev/null 2>&1 || fail "$what is missing; install $what${least:+ $least or newer} first"
  [ -z "$least" ] || [ "$(printf '%s\n%s\n' "$least" "$has" | sort -V | head -n 1)" = "$least" ] ||
    fail "$what ${has:-of an unknown version} is here; $least or newer is needed"
}
