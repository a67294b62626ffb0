# Sourced: what is stored, as one file and back. Everything is in the database, photos and laps too. Uses say.sh.

# backup FILE: while Marvek runs or not. What is there already is left alone.
backup() {
  local file=${1:-} running=yes
  if [ $# != 1 ]; then echo "usage: ./marvek backup FILE" >&2; return 2; fi
  if [ -e "$file" ]; then echo "$file is there already, and is not written over: choose another name." >&2; return 1; fi
  if [ ! -d "$data/data" ]; then echo "Nothing is stored in $data yet: there is nothing to back up." >&2; return 1; fi
  need_database
  "$home/scripts/cluster" alive "$data" || running=
  local status=0
  "$home/scripts/cluster" up "$data" >/dev/null || return 1
  "$home/scripts/cluster" dump "$data" "$file.new" || status=$?
  if [ -z "$running" ]; then "$home/scripts/cluster" down "$data"; fi
  if [ "$status" != 0 ]; then
    rm -f "$file.new"
    echo "The backup was not made. What is stored is as it was." >&2
    return 1
  fi
  mv "$file.new" "$file"
  echo "Everything stored in $data is in $file ($(du -h "$file" | cut -f1)). ./marvek restore takes it back into an empty folder."
}

# restore FILE: into a folder in which nothing is stored, as a whole or not at all.
restore() {
  local file=${1:-}
  if [ $# != 1 ]; then echo "usage: ./marvek restore FILE" >&2; return 2; fi
  if [ ! -r "$file" ]; then echo "There is no $file that can be read." >&2; return 1; fi
  take_folder
  need_database
  trap '"$home/scripts/cluster" down "$data"' EXIT
  "$home/scripts/cluster" up "$data" 8>&- >/dev/null || return 1
  local stored
  stored=$("$home/scripts/cluster" schema "$data") || return 1
  if [ -n "$stored" ]; then
    echo "Something is stored in $data already, and is not written over." >&2
    echo "Choose another folder with MARVEK_DATA, or throw it away first: ./marvek reset" >&2
    return 1
  fi
  if ! "$home/scripts/cluster" restore "$data" "$file"; then
    echo "$file cannot be taken back: it is no backup of Marvek, or it is cut off. Nothing was stored." >&2
    return 1
  fi
  echo "What $file holds is stored in $data. ./marvek start goes on from it."
}

# Before a newer Marvek changes how things are stored, they are kept as they were.
dump_before_migration() {
  local stored newest
  stored=$("$home/scripts/cluster" schema "$data" 8>&-) || return 1
  newest=$(grep -aoE 'db/migration/V[0-9]+__' "$jar" | grep -oE '[0-9]+' | sort -n | tail -1) || newest=0
  if [ -z "$stored" ] || [ "$stored" -ge "$newest" ]; then return 0; fi
  mkdir -p "$data/backups"
  local file
  file=$data/backups/version-$stored-$(date +%Y-%m-%d-%H%M%S).backup
  echo "A newer Marvek stores things in another way (version $newest after $stored); as they are, they are kept in $file …"
  if ! "$home/scripts/cluster" dump "$data" "$file" 8>&-; then
    rm -f "$file"
    echo "They could not be kept, so nothing is changed. Is there room in $data?" >&2
    return 1
  fi
}
