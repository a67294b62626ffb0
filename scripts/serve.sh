# Sourced: Marvek's server and its database, from start to end. Uses say.sh.
#   $data/start.lock is held while a start lives; server.pid and start.pid name its processes.

taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# choose_port [FIRST]: the port that is asked for, else the first free one.
choose_port() {
  local first=${1:-8080}
  if [ -n "${MARVEK_PORT:-}" ]; then
    if taken "$MARVEK_PORT"; then echo "Port $MARVEK_PORT is in use: choose another MARVEK_PORT." >&2; return 1; fi
    echo "$MARVEK_PORT"; return
  fi
  local port
  for port in $(seq "$first" "$((first + 100))"); do
    if ! taken "$port"; then echo "$port"; return; fi
  done
  echo "No free port between $first and $((first + 100)): choose one with MARVEK_PORT." >&2; return 1
}

# lives FILE WORD: the process that the file names, if it is alive and its command line holds the word.
lives() {
  [ -f "$1" ] || return 1
  local pid; pid=$(cat "$1")
  [ -n "$pid" ] && [ -r "/proc/$pid/cmdline" ] && tr '\0' ' ' < "/proc/$pid/cmdline" | grep -qF -- "$2" && echo "$pid"
}

alive() { grep -qs '^State:[[:space:]]*[^ZX]' "/proc/$1/status"; }

# wait_for PID SECONDS: until it has ended, or the time is up.
wait_for() {
  local until=$((SECONDS + $2))
  while alive "$1" && [ "$SECONDS" -lt "$until" ]; do sleep 0.1; done
}

# A first run writes its classes at its end, which takes some seconds: it is left to come to its end.
end_server() {
  local pid
  if pid=$(lives "$data/server.pid" "$jar"); then
    kill "$pid" 2>/dev/null || true
    wait_for "$pid" 5
    if alive "$pid"; then echo "Marvek is ending; after a first run it keeps what makes the next start quicker …"; fi
    wait_for "$pid" 90
    # The archive is whole only if the server came to its end by itself.
    if alive "$pid" && kill -9 "$pid" 2>/dev/null; then rm -f "$archive.new"; fi
    if [ -f "$archive.new" ]; then mv "$archive.new" "$archive"; fi
  fi
  rm -f "$data/server.pid"
}

# One start a folder: the lock goes with the process that holds it, however that ends.
take_folder() {
  mkdir -p "$data"
  exec 8>>"$data/start.lock"
  if ! flock -n 8; then
    echo "Marvek already runs on $data: $(cat "$data/address" 2>/dev/null || echo "it is being started")." >&2
    echo "./marvek stop ends it; another folder is chosen with MARVEK_DATA." >&2
    exit 1
  fi
  echo $$ > "$data/start.pid"
  rm -f "$data/address"
}

start() {
  take_folder
  trap 'exit 130' INT TERM
  "$@" # what is needed first: packages, building
  end_server
  trap 'end_all' EXIT
  enough_room "$data" 300 || exit 1
  start_database
  dump_before_migration || exit 1
  if [ "${MARVEK_SHARE:-}" = 1 ]; then share_settings || exit 1; fi
  start_server
  if [ "${MARVEK_SHARE:-}" = 1 ]; then tell_share; else tell_address "http://127.0.0.1:$port"; fi
  stay_up
}

tell_address() {
  echo "Marvek is at $1"
  echo "$1" > "$data/address"
}

# What the server needs to know to be open to the local network; $trust is the port of its root's page.
share_settings() {
  trust=$(MARVEK_PORT=${MARVEK_TRUST_PORT:-} choose_port 8181) || return 1
  mkdir -p "$data/share"
  chmod 700 "$data/share"
  rm -f "$data/share/owner-link"
  export MARVEK_SHARE=1 MARVEK_SHARE_FOLDER=$data/share MARVEK_TRUST_PORT=$trust
}

tell_share() {
  local link; link=$(cat "$data/share/owner-link" 2>/dev/null || true)
  tell_address "${link%%/pair*}"
  if [ -z "${MARVEK_TLS_CERTIFICATE:-}" ]; then
    echo "  A device that comes for the first time opens http://$(sed 's|https://||; s|:.*||' "$data/address"):$trust"
  fi
  echo "  Your own device opens, once within ten minutes: $link"
  echo "Ctrl-C ends the sharing; ./marvek start opens it to this machine alone."
}

end_all() {
  end_server
  "$home/scripts/cluster" down "$data"
  rm -f "$data/address" "$data/start.pid"
}

start_database() {
  local answer
  if [ ! -d "$data/data" ]; then echo "Making a private database in $data …"; fi
  # The lock must not outlive this start in the database's processes.
  answer=$("$home/scripts/cluster" up "$data" 8>&-) || exit 1
  database=${answer% *} password=${answer#* }
}

start_server() {
  local sharing=-XX:SharedArchiveFile=$archive
  if [ ! -f "$archive" ]; then rm -f "$archive.new"; sharing=-XX:ArchiveClassesAtExit=$archive.new; fi
  port=$(choose_port) || exit 1
  # The largest files need some 1.5 GB while they are understood.
  local memory; memory=$(awk '/^MemTotal/ {print int($2 / 2048)}' /proc/meminfo)
  if [ "$memory" -gt 2048 ]; then memory=2048; fi
  MARVEK_PORT=$port MARVEK_DB_URL=jdbc:postgresql://127.0.0.1:$database/marvek MARVEK_DB_USER=marvek \
    MARVEK_DB_PASSWORD=$password "$JAVA_HOME/bin/java" "-Xmx${memory}m" "$sharing" "-Dpdfbox.fontcache=$data" -jar "$jar" > "$data/server.log" 2>&1 8>&- &
  server=$!
  echo "$server" > "$data/server.pid"
  local began=$SECONDS next=5
  until readiness; do
    if ! kill -0 "$server" 2>/dev/null; then
      echo "The server did not start. The end of $data/server.log:" >&2
      grep -v '\[cds\]' "$data/server.log" | tail -15 >&2
      explain "$data/server.log"
      exit 1
    fi
    if [ $((SECONDS - began)) -ge "$next" ]; then
      echo "  … $((SECONDS - began)) s: ${state:-the server starts}"
      next=$((SECONDS - began + 5))
    fi
    sleep 0.2
  done
}

# True once the server answers that it is ready; until then $state is what it says it does.
readiness() {
  local line body=''
  state=
  exec 3<>"/dev/tcp/127.0.0.1/${trust:-$port}" || return 1
  printf 'GET /ready HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' >&3
  read -r -t 5 line <&3 || line=
  while read -r -t 5 body <&3 || [ -n "$body" ]; do [ -n "${body%$'\r'}" ] || break; done
  read -r -t 5 state <&3 || true
  exec 3<&- 3>&-
  [[ $line == *" 200"* ]]
} 2>/dev/null

# Until the server ends. A database that was lost meanwhile is started again, on the port that it had.
stay_up() {
  while kill -0 "$server" 2>/dev/null; do
    if ! "$home/scripts/cluster" alive "$data" 8>&-; then
      echo "The database has ended; starting it again …"
      "$home/scripts/cluster" up "$data" 8>&- >/dev/null || echo "Trying again in a moment." >&2
    fi
    sleep 2 8>&- & wait $! || true
  done
  local status=0
  wait "$server" || status=$?
  if [ "$status" != 0 ] && [ "$status" != 143 ]; then # 143: it was asked to
    echo "The server has ended by itself. The end of $data/server.log:" >&2
    grep -v '\[cds\]' "$data/server.log" | tail -15 >&2
    echo "Nothing stored is lost: start again." >&2
    exit 1
  fi
}

# Ends all that belongs to the folder, whoever started it: a start that is still building too.
stop() {
  local pid
  if pid=$(lives "$data/start.pid" marvek); then
    kill "$pid" 2>/dev/null || true
    wait_for "$pid" 120
  fi
  end_all
  echo "Marvek is stopped."
}
