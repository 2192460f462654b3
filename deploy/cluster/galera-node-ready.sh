#!/bin/sh
# Whether a node takes statements: HAProxy gives its own address and port, and those of the node. A node that has lost the others answers and keeps
# nothing; one that is catching up would tell of yesterday. How it stands is said at once, and not after all that the others have kept is there: a
# kennel's file is one large change, and a node that applies it is busy, not gone.
state=$(mariadb --no-defaults --user=banter_watch --host="$3" --port="$4" --connect-timeout=2 --skip-column-names --batch \
  --init-command="SET SESSION wsrep_sync_wait = 0" \
  --execute="SHOW STATUS WHERE Variable_name IN ('wsrep_ready', 'wsrep_local_state')" 2>/dev/null) || exit 1
case "$state" in
*wsrep_ready*ON*) ;;
*) exit 1 ;;
esac
# 4: in step with the others; 2: it gives its rows to one that comes back, and serves meanwhile.
case "$state" in
*wsrep_local_state*[24]*) exit 0 ;;
*) exit 1 ;;
esac
