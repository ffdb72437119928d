#!/usr/bin/env bash
# Leads the process group of one service (app/Support/Services.php): runs it, passes on the request to end, and ends
# whatever is left of the group afterwards, workers of `php -S` first of all.
trap : TERM INT HUP
setpriv --pdeathsig TERM "$@" &
child=$!
while kill -0 "$child" 2>/dev/null; do
    wait "$child"
    if kill -0 "$child" 2>/dev/null; then kill -TERM "$child" 2>/dev/null; fi
done
kill -KILL 0
