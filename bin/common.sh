# Shared by the scripts in bin/. Sourced, never run.
# A setting comes from the environment first, then from .env, then from the default given here.
set -Eeuo pipefail
# A step that fails without a word of its own says at least where.
trap 'printf "nomada: %s stopped at line %s: %s\n" "$0" "$LINENO" "$BASH_COMMAND" >&2' ERR
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$ROOT"
GIVEN=("$@")
# `--help` says what a script is for: the comment at its head.
case "${1:-}" in
    -h | --help) sed -n '2,${/^#/!q; s/^# \{0,1\}//p}' "$ROOT/bin/$(basename "$0")"; exit 0 ;;
esac
export COMPOSER_ALLOW_SUPERUSER=1
# Settings of PHP of our own, behind the machine's, for whatever is started from here.
case "${PHP_INI_SCAN_DIR:-}" in
    *"$ROOT/build/ini"*) ;;
    *) export PHP_INI_SCAN_DIR="${PHP_INI_SCAN_DIR:-}:$ROOT/build/ini" ;;
esac

say() { printf '%s\n' "$*"; }
die() { printf 'nomada: %s\n' "$*" >&2; exit 1; }

knows() { # OPTION...: all that the script takes; anything else is refused before it does anything
    local given option
    for given in ${GIVEN[@]+"${GIVEN[@]}"}; do
        for option in "$@"; do if [ "$given" = "$option" ]; then continue 2; fi; done
        die "\"$given\" is no option of bin/$(basename "$0"); bin/$(basename "$0") --help says what is"
    done
}

setting() { # NAME DEFAULT
    local value="${!1:-}"
    if [ -z "$value" ] && [ -f .env ]; then value="$(sed -n "s/^$1=//p" .env | tail -n 1 | sed 's/^"\(.*\)"$/\1/')"; fi
    printf '%s' "${value:-$2}"
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Ends what a supervisor that was killed left behind on its ports: groups noted in var/run that work in this folder.
end_orphans() { # NOMADA_PORT
    local file pid group
    for file in var/run/supervisor-"$1".pid; do
        [ -f "$file" ] || continue
        pid="$(cat "$file")"
        if [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$ROOT" ] && grep -qz 'nomada:run' "/proc/$pid/cmdline" 2>/dev/null; then
            die "Nomada is already running here, on port $1 (process $pid)"
        fi
    done
    for file in var/run/*-"$1".pid; do
        [ -f "$file" ] || continue
        group="$(cat "$file")"
        for pid in $(pgrep -g "$group" 2>/dev/null || true); do
            if [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$ROOT" ]; then
                say "Ending what was left of an earlier start: $(basename "$file" .pid)"
                kill -KILL -- "-$group" 2>/dev/null || true
                break
            fi
        done
        rm -f "$file"
    done
}

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi; }

# PostgreSQL refuses to run as root: then the cluster belongs to the postgres user, otherwise to the caller.
pg_run() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }
pg_bin() { local d; d="$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)"; [ -n "$d" ] || die "PostgreSQL is not installed; run bin/setup"; printf '%s' "$d"; }

# The cluster lives in var/, or, where the postgres user may not enter this folder, beside PostgreSQL's own.
pg_home() {
    if [ -n "${NOMADA_PG:-}" ]; then printf '%s' "$NOMADA_PG"; return; fi
    if [ "$(id -u)" = 0 ] && ! runuser -u postgres -- test -x "$ROOT"; then
        printf '/var/lib/postgresql/nomada-%s' "$(printf '%s' "$ROOT" | cksum | cut -d' ' -f1)"; return
    fi
    printf '%s/var/pg' "$ROOT"
}
