#!/usr/bin/env bash
# Everything that must hold: formatting, analysers, linters, types, and the tests of core, server, browser and client.
# Ends with the line 'N passed, N failed'. ./test.sh SUITE [FILTER] runs one of these suites, or what of it a filter names: a class ('*.PlannerTests')
# or a part of a test's name.
set -uo pipefail
cd "$(dirname "$0")"
. scripts/house.sh
. scripts/known-faults.sh
need_tools
need_chromium
mkdir -p .build
# By the digests that are committed, which hold for the kind of machine they were made on.
[ "$(uname -m)" != x86_64 ] || export RestoreLockedMode=true
passed=0 failed=0

# A check counts as one: it holds or it does not.
check() {
  local name=$1
  shift
  say "== $name"
  local log=.build/check-$BASHPID.log
  if "$@" >"$log" 2>&1; then
    passed=$((passed + 1))
    grep '^   skipped' "$log" >&2 || true
  else
    failed=$((failed + 1))
    tail -n 60 "$log" >&2
    say "== $name does not hold"
  fi
}

suite() {
  local name=$1 log=.build/suite-$BASHPID.log
  shift
  say "== $name"
  "$@" >"$log" 2>&1
  count "$log" $?
}

# A suite counts its tests, by the runner's own summary; one that dies before it counts as a failure.
count() {
  local log=$1 code=$2 good bad
  good=$(sed -nE 's/^ *succeeded: ([0-9]+).*/\1/p; s/^ *Tests +(.* )?([0-9]+) passed.*/\2/p' "$log" | tail -n 1)
  bad=$(sed -nE 's/^ *failed: ([0-9]+).*/\1/p; s/^ *Tests +([0-9]+) failed.*/\1/p' "$log" | tail -n 1)
  passed=$((passed + ${good:-0}))
  failed=$((failed + ${bad:-0}))
  if [ $code -ne 0 ] || [ "${good:-0}" -eq 0 ]; then
    [ "${bad:-0}" -gt 0 ] || failed=$((failed + 1))
    tail -n 60 "$log" | cut -c 1-400 >&2
    # Last, where it is seen: what failed, and why.
    grep -a -A 12 '^failed ' "$log" | cut -c 1-400 >&2 || true
  fi
  say "   ${good:-0} passed, ${bad:-0} failed"
}

types_are_current() { git diff --exit-code --stat -- client/src/api; }
tests() { "tests/IronLoop.$1.Tests/bin/Release/net10.0/IronLoop.$1.Tests" --progress off --no-ansi "${@:2}"; }

# What the client says of itself needs no server: it fills what the build leaves of the cores.
client_checks() {
  check 'prettier' in_client npm run --silent format:check
  check 'eslint' in_client npm run --silent lint
  check 'vue-tsc' in_client npm run --silent check
  check 'no known faults in npm packages' in_client npm_faults
  suite 'client tests' in_client npm run --silent test
  echo "$passed $failed" >.build/client.count
}

# One suite, for whoever works on it.
one_suite() {
  local name=$1 filter=${2:-} by=()
  if [ "$name" = Client ]; then
    client_packages
    in_client npx vitest run ${filter:+"$filter"}
    return
  fi
  case "$filter" in
    '') ;;
    *.*) by=(--filter-class "$filter") ;;
    *) by=(--filter-method "*$filter*") ;;
  esac
  if [ "$name" = Browser ]; then
    client_packages
    build_server
    build_client
  fi
  dotnet build "tests/IronLoop.$name.Tests" -c Release --verbosity quiet -clp:NoSummary >&2 || return
  tests "$name" "${by[@]}"
}
# How many faults in the core its tests catch; apart from everything else, since it takes its time.
mutants() {
  dotnet build tests/IronLoop.Core.Tests -c Release --verbosity quiet -clp:NoSummary >&2 || return
  dotnet run -c Release --project tests/IronLoop.Mutants -- . "$@"
}
case "${1:-}" in
  '') ;;
  core) one_suite Core "${2:-}"; exit ;;
  server) one_suite Server "${2:-}"; exit ;;
  browser) one_suite Browser "${2:-}"; exit ;;
  client) one_suite Client "${2:-}"; exit ;;
  mutants) shift; mutants "$@"; exit ;;
  *) stop "What is $1? Usage: ./test.sh [core|server|browser|client [FILTER]], or ./test.sh mutants [FOLDER [HOW-MANY [SEED]]], or ./test.sh mutants again FILE" ;;
esac

check 'client packages' client_packages
rm -f .build/client.count
# Nothing here runs long enough for a profile to pay.
export DOTNET_TieredPGO=0
(passed=0 failed=0 && client_checks) &
client=$!
# Whole, with analysers, style, and where things stand on the line: what runs is built without them.
check 'build, warnings as errors' compile build IronLoop.slnx -c Release --no-incremental
check 'publish what runs' publish_server
wait $client
read -r good bad <.build/client.count || { good=0 bad=1; }
passed=$((passed + good)) failed=$((failed + bad))
# The server's tests fill one core while the rest waits for the other.
tests Server >.build/server.log 2>&1 &
server=$!
check 'client build' build_client
git rev-parse --git-dir >/dev/null 2>&1 && check 'generated types are committed' types_are_current
check 'no known faults in NuGet packages' nuget_faults
suite 'core tests' tests Core
suite 'browser tests' tests Browser
say '== server tests'
wait $server
count .build/server.log $?

echo "$passed passed, $failed failed"
[ "$failed" -eq 0 ] && [ "$passed" -gt 0 ]
