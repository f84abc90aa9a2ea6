# PostgreSQL of our own on loopback, data under PILGRIM_HOME. Sourced by ./pilgrim.
# PostgreSQL refuses to run as root: then it runs as the user postgres, with its data where that user can reach it.
home=${PILGRIM_HOME:-$root/.pilgrim}

db_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }
db_installed() { [ -x "$(db_bin)/initdb" ]; }

db_as() { # run as the user that owns the data
  if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi
}

db_dir() { cat "$home/data-folder" 2>/dev/null; }
db_port() { cat "$home/port" 2>/dev/null; }
db_url() { printf 'postgres://pilgrim:%s@127.0.0.1:%s/pilgrim' "$(cat "$home/password")" "$(db_port)"; }

db_create() {
  mkdir -p "$home"
  local dir="$home/data"
  if [ "$(id -u)" = 0 ] && ! runuser -u postgres -- test -x "$home"; then
    dir="/var/lib/pilgrim/$(printf '%s' "$home" | cksum | cut -d' ' -f1)"
    mkdir -p /var/lib/pilgrim
    chmod 755 /var/lib/pilgrim
  fi
  mkdir -p "$dir"
  [ "$(id -u)" = 0 ] && chown postgres "$dir"
  chmod 700 "$dir"
  printf '%s' "$dir" >"$home/data-folder"
  head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >"$home/password"
  chmod 600 "$home/password"
  node -e "const s=require('net').createServer().listen(${PILGRIM_DB_PORT:-0},'127.0.0.1',()=>{process.stdout.write(String(s.address().port));s.close()})" >"$home/port"
  local secret
  secret=$(mktemp)
  cat "$home/password" >"$secret"
  [ "$(id -u)" = 0 ] && chown postgres "$secret"
  (cd / && db_as "$(db_bin)/initdb" -D "$dir" -U pilgrim --auth=scram-sha-256 --pwfile="$secret" -E UTF8 --locale=C.UTF-8 >"$home/initdb.log" 2>&1) ||
    { cat "$home/initdb.log" >&2; rm -f "$secret"; return 1; }
  rm -f "$secret"
}

db_reachable() { "$(db_bin)/pg_isready" -q -h 127.0.0.1 -p "$(db_port)"; }

# One shell at a time starts or stops the server. PostgreSQL itself must not inherit the lock.
db_locked() {
  mkdir -p "$home"
  local code=0
  exec 9>"$home/lock"
  flock 9
  "$@" || code=$?
  exec 9>&-
  return $code
}

db_start() { db_locked db_start_now; }
db_stop() { db_locked db_stop_now; }

# Starts the server and takes it over: from now on it is this shell that stops it.
db_take() { db_locked db_take_now; }
db_take_now() { db_start_now && printf '%s' "$$" >"$home/owner"; }

# Stops the server unless a later start has taken it over.
db_give_back() { db_locked db_stop_own; }
db_stop_own() { [ "$(cat "$home/owner" 2>/dev/null)" != "$$" ] || db_stop_now; }

# A server killed a moment ago may still hold its own lock file: try for a while.
db_start_now() {
  rm -f "$home/stopped"
  db_installed || { echo "pilgrim: PostgreSQL is missing. Run:  sudo apt-get install -y postgresql" >&2; return 1; }
  [ -n "$(db_dir)" ] && db_as test -s "$(db_dir)/PG_VERSION" || db_create || return 1
  local log options attempt
  log="$(db_dir)/server.log"
  options="-p $(db_port) -c listen_addresses=127.0.0.1 -c unix_socket_directories= -c log_min_messages=warning"
  for attempt in $(seq 1 60); do
    db_reachable && break
    (cd / && db_as "$(db_bin)/pg_ctl" -D "$(db_dir)" -w -t 30 -l "$log" -o "$options" start >/dev/null 2>&1 9>&-) && break
    [ "$attempt" = 60 ] && { echo "pilgrim: PostgreSQL did not start; see $log" >&2; return 1; }
    sleep 0.5
  done
  db_exists || PGPASSWORD=$(cat "$home/password") "$(db_bin)/createdb" -h 127.0.0.1 -p "$(db_port)" -U pilgrim pilgrim
}

# Starts PostgreSQL again where it died, as long as nobody stopped it on purpose.
db_watch() {
  while sleep 1; do
    [ -e "$home/stopped" ] || db_reachable || db_start >/dev/null 2>&1
  done
}

db_exists() {
  PGPASSWORD=$(cat "$home/password") "$(db_bin)/psql" -h 127.0.0.1 -p "$(db_port)" -U pilgrim -d postgres -tAc "select 1 from pg_database where datname='pilgrim'" | grep -q 1
}

# In recovery or half shut down a fast stop can wait for ever: then at once, which the next start recovers from.
db_stop_now() {
  [ -n "$(db_dir)" ] || return 0
  touch "$home/stopped"
  for mode in fast immediate; do
    (cd / && db_as "$(db_bin)/pg_ctl" -D "$(db_dir)" -m $mode -w -t 15 stop >/dev/null 2>&1) && return 0
    db_as "$(db_bin)/pg_ctl" -D "$(db_dir)" status >/dev/null 2>&1 || return 0
  done
}

db_reset() {
  db_start
  PGPASSWORD=$(cat "$home/password") "$(db_bin)/dropdb" --force -h 127.0.0.1 -p "$(db_port)" -U pilgrim pilgrim
  PGPASSWORD=$(cat "$home/password") "$(db_bin)/createdb" -h 127.0.0.1 -p "$(db_port)" -U pilgrim pilgrim
}
