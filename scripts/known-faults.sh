# Whether a package that ships here is known to be vulnerable. Where a registry does not say, that is said and not held against us.

nuget_faults() {
  local source log=.build/nuget-faults.log
  source=$(dotnet nuget list source --format short | awk '/^E/ { print $2; exit }')
  # A source without this resource calls everything sound.
  if ! curl -fsS -m 20 "$source" 2>/dev/null | grep -q '"VulnerabilityInfo/'; then
    say "   skipped for NuGet: its source here tells nothing of vulnerabilities"
    return 0
  fi
  dotnet list IronLoop.slnx package --vulnerable --include-transitive >"$log" 2>&1 || { say "   skipped for NuGet: no answer"; return 0; }
  ! grep -A20 'has the following vulnerable packages' "$log"
}

npm_faults() {
  local log=../.build/npm-faults.log
  npm audit --omit=dev --json >"$log" 2>/dev/null && return 0
  if ! grep -q '"vulnerabilities"' "$log"; then
    say "   skipped for npm: its registry here does not answer"
    return 0
  fi
  npm audit --omit=dev
  return 1
}
