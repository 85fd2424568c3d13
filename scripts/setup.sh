#!/usr/bin/env bash
# Installs from Debian's packages what is missing and says what it does.
# Usage: scripts/setup.sh [mariadb] [chromium] [gcc]
set -euo pipefail

missing=()
for what in "$@"; do
  case "$what" in
    mariadb) [ -x /usr/sbin/mariadbd ] && command -v mariadb-install-db >/dev/null || missing+=(mariadb-server) ;;
    chromium) [ -x /usr/bin/chromium ] || missing+=(chromium fonts-noto-color-emoji) ;;
    gcc) command -v gcc >/dev/null || missing+=(gcc libc6-dev) ;; # the race detector needs it
    *) echo "setup: unknown part '$what'; known are mariadb, chromium, gcc" >&2; exit 2 ;;
  esac
done
for program in go node npm; do
  command -v "$program" >/dev/null || { echo "setup: the program $program is missing; install it first (see README)" >&2; exit 1; }
done
[ ${#missing[@]} -eq 0 ] && exit 0

as_root=()
if [ "$(id -u)" -ne 0 ]; then
  command -v sudo >/dev/null || { echo "setup: ${missing[*]} must be installed from Debian's packages as root" >&2; exit 1; }
  as_root=(sudo)
fi
echo "setup: installing ${missing[*]} from Debian's packages"
export DEBIAN_FRONTEND=noninteractive
"${as_root[@]}" apt-get update -q >/dev/null
# No server of the system's is to start on our account: the program runs its own.
"${as_root[@]}" apt-get install -y -q --no-install-recommends -o DPkg::Lock::Timeout=600 "${missing[@]}" >/dev/null
echo "setup: done"
