# Sourced: building, testing and measuring from the sources. Uses say.sh and needs.sh.

built=$home/server/target/marvek-server-$version-exec.jar
stamp=$home/server/target/built

stale() {
  [ -f "$stamp" ] && [ -f "$jar" ] || return 0
  [ -n "$(find "$home/pom.xml" "$home/core" "$home/formats" "$home/server" "$home/web" "$home/docs/guide.md" \
    \( -name node_modules -o -name target -o -name dist \) -prune -o -type f -newer "$stamp" -print -quit)" ]
}

build() {
  stale || return 0
  rm -f "$stamp"
  local began; began=$(mktemp)
  step "Building Marvek (the first time this takes some minutes)" \
    in_home "${maven[@]}" package -DskipTests -Dmaven.test.skip -Dspotless.check.skip -pl core,formats,web,server || exit 1
  rm -rf "$app"
  "$JAVA_HOME/bin/java" -Djarmode=tools -jar "$built" extract --destination "$app" >/dev/null
  mv "$began" "$stamp"
}

in_home() { cd "$home" && "$@"; }

# Maven's output without a line for each of the packages that it fetches.
fetches_counted() {
  awk '/Download(ing|ed) from|^Progress/ { if (/Downloaded/ && ++n % 50 == 0) { print "  fetching packages: " n " so far"; fflush() } next }
       { print; fflush() }'
}

run_test() {
  need_build browser
  local status=0
  mkdir -p "$tools"
  # Modules that do not need each other run side by side.
  in_home "${maven[@]}" -T 2 verify "$@" 2>&1 | tee "$tools/test.log" | fetches_counted || status=$?
  # A test that fails quotes what explain looks for.
  if [ "$status" != 0 ] && ! grep -q "There are test failures" "$tools/test.log"; then explain "$tools/test.log"; fi
  return "$status"
}

run_shots() {
  need_build browser
  in_home "${maven[@]}" -q verify -Dspotless.check.skip -pl core,formats,web,server,e2e \
    -Dtest=Screenshots -Dsurefire.failIfNoSpecifiedTests=false -Dshots=true
  ls "$home"/docs/screenshots
}

# After the server's requests or answers changed: its description, and the interface's types from that.
run_contract() {
  need_build
  in_home "${maven[@]}" -q test -Dspotless.check.skip -DskipWebTests=true -pl core,formats,web,server \
    -Dtest=ContractTest -Dsurefire.failIfNoSpecifiedTests=false -DargLine="-Dcontract.write=true -Dmarvek.demo=false"
  (cd "$home/web" && "$home/scripts/with-node" npm run contract)
}

# run_mutate PACKAGE: makes the code of a package of the core wrong in many small ways and tells which of them
# its own tests do not notice. What is known of the last time is kept, so that only what changed runs again.
run_mutate() {
  local package=${1:-}
  if [ ! -d "$home/core/src/main/java/marvek/core/$package" ] || [ -z "$package" ]; then
    echo "./marvek mutate PACKAGE, one of: $(ls -d "$home"/core/src/main/java/marvek/core/*/ | xargs -n1 basename | tr '\n' ' ')" >&2
    return 2
  fi
  need_build
  mkdir -p "$tools/mutation"
  local known=$tools/mutation/$package
  in_home "${maven[@]}" -q test-compile -Dspotless.check.skip -pl core
  in_home "${maven[@]}" org.pitest:pitest-maven:mutationCoverage -pl core \
    -DtargetClasses="marvek.core.$package.*" -DtargetTests="marvek.core.$package.*Test" \
    -DhistoryInputFile="$known" -DhistoryOutputFile="$known"
  echo "Line by line: $home/core/target/pit-reports/index.html"
}

run_bench() {
  need_build
  in_home "${maven[@]}" -q package -DskipTests -Dmaven.test.skip -Dspotless.check.skip -Dexec.skip -pl core,formats,bench
  "$JAVA_HOME/bin/java" -jar "$home/bench/target/benchmarks.jar" "$@"
}

# One archive for who only wants to use Marvek: the built server with the interface in it, the commands, and
# the licences of what it ships.
run_package() {
  need_build
  build
  local name=marvek-$version out=$home/target/package
  rm -rf "$out"
  mkdir -p "$out/$name/scripts" "$out/$name/licences"
  step "Listing the licences of what is shipped" list_licences || exit 1
  cp -r "$app" "$out/$name/app"
  rm -f "$out/$name/app/"classes.jsa*
  cp "$home/marvek" "$home/README.md" "$out/$name/"
  cp "$home"/scripts/{say.sh,needs.sh,serve.sh,keep.sh,cluster} "$out/$name/scripts/"
  cp "$home/target/licences/server.txt" "$out/$name/licences/server.txt"
  cp "$home/web/target/licences.md" "$out/$name/licences/interface.md"
  tar -C "$out" --owner=0 --group=0 --sort=name -czf "$home/target/$name.tar.gz" "$name"
  rm -rf "$out"
  echo "Made target/$name.tar.gz ($(du -h "$home/target/$name.tar.gz" | cut -f1)): unpack it and run ./marvek start in it."
}

list_licences() {
  (cd "$home/web" && "$home/scripts/with-node" npm run licences) &&
    in_home "${maven[@]}" package -DskipTests -Dspotless.check.skip -Dexec.skip -pl core,formats,web,server,. \
      license:aggregate-add-third-party
}
