# Sourced: what Marvek needs of the machine, found or installed. Uses say.sh.

# Where Maven and npm keep what they fetch: where the user's own already do, else in Marvek's folder,
# so that nothing is left elsewhere on a machine that has neither.
tools=$home/.tools
keep_caches_together() {
  maven=(mvn -B)
  if [ ! -d "${HOME:-/nonexistent}/.m2" ]; then maven+=("-Dmaven.repo.local=$tools/maven"); fi
  if [ ! -d "${HOME:-/nonexistent}/.npm" ]; then export npm_config_cache=$tools/npm; fi
  maven_through_proxy
}

# npm and apt read the proxy from the environment; Maven has to be told.
maven_through_proxy() {
  local kind url rest
  for kind in http https; do
    url=${kind}_proxy; url=${!url:-}
    [ -n "$url" ] || { url=${kind^^}_PROXY; url=${!url:-}; }
    rest=${url#*://}; rest=${rest%%/*}
    [ -n "$rest" ] || continue
    if [[ $rest == *@* ]]; then
      maven+=("-D$kind.proxyUser=$(cut -d: -f1 <<<"${rest%@*}")" "-D$kind.proxyPassword=$(cut -d: -f2- <<<"${rest%@*}")")
      rest=${rest##*@}
    fi
    maven+=("-D$kind.proxyHost=${rest%%:*}")
    [[ $rest == *:* ]] && maven+=("-D$kind.proxyPort=${rest##*:}")
  done
  local none=${no_proxy:-${NO_PROXY:-}}
  [ -z "$none" ] || maven+=("-Dhttp.nonProxyHosts=${none//,/|}")
}

# need FILE-OR-COMMAND PACKAGE ...: installs the Debian packages whose file or command is missing.
# Without root it prints the one line to run; at a terminal it waits for it and goes on.
need() {
  local missing; missing=$(lacking "$@")
  [ -n "$missing" ] || return 0
  check_debian "$missing"
  if [ "$(id -u)" != 0 ]; then
    echo "Marvek needs Debian packages. Run this once:"
    echo "  $(as_root "apt-get update && apt-get install -y --no-install-recommends $missing")"
    if [ -t 0 ]; then
      read -r -p "Then press Enter here to go on (Ctrl-C to end). " _
    else
      echo "Then start again."
    fi
    missing=$(lacking "$@")
    [ -z "$missing" ] || { echo "Still missing: $missing" >&2; exit 1; }
    return 0
  fi
  step "Reading the lists of Debian packages" apt-get update || exit 1
  # shellcheck disable=SC2086 # one word a package
  step "Installing Debian packages: $missing" env DEBIAN_FRONTEND=noninteractive \
    apt-get install -y --no-install-recommends $missing || exit 1
}

as_root() { if command -v sudo >/dev/null; then echo "sudo sh -c '$1'"; else echo "su -c '$1'"; fi; }

lacking() {
  local missing=()
  while [ $# -gt 0 ]; do
    if ! command -v "$1" >/dev/null 2>&1 && ! compgen -G "$1" >/dev/null; then missing+=("$2"); fi
    shift 2
  done
  echo "${missing[*]}"
}

check_debian() {
  local ID='' VERSION_ID='' PRETTY_NAME='this system'
  local release=${MARVEK_OS_RELEASE:-/etc/os-release}
  [ -r "$release" ] && . "$release"
  if ! command -v apt-get >/dev/null; then
    echo "Marvek installs what it needs from Debian's packages, and $PRETTY_NAME has no apt-get." >&2
    echo "Install what these hold and start again: $1" >&2
    exit 1
  fi
  if [ "$ID" = debian ] && [ "${VERSION_ID:-12}" -lt 12 ]; then
    echo "$PRETTY_NAME is too old: Marvek needs Debian 12 (bookworm) or newer." >&2
    exit 1
  fi
}

# Sets JAVA_HOME to a Java 17 or newer: the one asked for, the one on the PATH, or Debian's.
# With "compiler" it has to be able to compile.
choose_java() {
  local what=java candidate
  if [ "${1:-}" = compiler ]; then what=javac; fi
  for candidate in "${JAVA_HOME:-}" "$(path_java "$what")" /usr/lib/jvm/default-java /usr/lib/jvm/java-*; do
    if [ -x "$candidate/bin/$what" ] && [ "$(java_version "$candidate")" -ge 17 ]; then
      export JAVA_HOME=$candidate PATH=$candidate/bin:$PATH
      return 0
    fi
  done
  return 1
}

path_java() { dirname "$(dirname "$(readlink -f "$(command -v "$1" || echo /nonexistent/bin/java)")")"; }

java_version() { # 17 of "17.0.15", 8 of "1.8.0"
  local version; version=$("$1/bin/java" -version 2>&1 | sed -n 's/.* version "\(1\.\)\{0,1\}\([0-9]*\).*/\2/p' | head -1)
  echo "${version:-0}"
}

need_java() {
  choose_java "$@" || need '/usr/lib/jvm/default-java/bin/java' default-jre-headless
  choose_java "$@" || { echo "Java 17 or newer is needed; set JAVA_HOME to one." >&2; exit 1; }
}

need_database() { need setpriv util-linux '/usr/lib/postgresql/*/bin/initdb' postgresql; }

need_build() {
  keep_caches_together
  enough_room "$home" 1500 || exit 1
  # In one go where several are missing.
  local wanted=(mvn maven setpriv util-linux '/usr/lib/postgresql/*/bin/initdb' postgresql)
  choose_java compiler || wanted+=('/usr/lib/jvm/default-java/bin/javac' default-jdk-headless)
  "$home/scripts/with-node" --fits || wanted+=(npm npm)
  if [ "${1:-}" = browser ]; then wanted+=(chromium chromium chromedriver chromium-driver certutil libnss3-tools openssl openssl); fi
  need "${wanted[@]}"
  need_java compiler
  "$home/scripts/with-node" --prepare || exit 1
}
