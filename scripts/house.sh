# Shared by run.sh and test.sh: what the house needs, and building it when it is stale.
export NO_COLOR=1 DOTNET_CLI_TELEMETRY_OPTOUT=1 DOTNET_NOLOGO=1 DOTNET_CLI_UI_LANGUAGE=en

say() { printf '%s\n' "$*" >&2; }

stop() {
  say "$*"
  exit 1
}

need_tools() {
  command -v dotnet >/dev/null || stop "The .NET SDK is missing: install version 10 and see that 'dotnet' is on the path."
  command -v node >/dev/null && command -v npm >/dev/null || stop "Node is missing: install version 20.19 or newer with npm."
  dotnet --version >/dev/null 2>&1 || stop "The .NET SDK here does not satisfy global.json, which asks for version 10.0.400 or newer: $(dotnet --list-sdks | tr '\n' ' ')"
}

# Chromium and its driver drive the real interface in the tests. They come from Debian's packages.
need_chromium() {
  command -v chromium >/dev/null && command -v chromedriver >/dev/null && return
  local apt='apt-get'
  [ "$(id -u)" -eq 0 ] || apt='sudo -n apt-get'
  say "Chromium or its driver is missing; installing both with apt-get."
  if ! { $apt update -qq && $apt install -y -qq --no-install-recommends chromium chromium-driver fonts-dejavu-core; } >&2; then
    stop "Chromium cannot be installed here. The browser tests need Debian's packages chromium and chromium-driver."
  fi
}

# Whether anything in the folders is newer than the stamp.
stale() {
  local stamp=$1
  shift
  [ ! -e "$stamp" ] || [ -n "$(find "$@" -newer "$stamp" -type f -not -path '*/bin/*' -not -path '*/obj/*' -not -path '*/node_modules/*' -not -path '*/dist/*' -print -quit)" ]
}

client_packages() {
  stale .build/packages client/package.json client/package-lock.json client/.npmrc || [ ! -d client/node_modules ] || return 0
  say "Fetching the client's packages."
  (cd client && npm ci --no-progress --loglevel=error) >&2
  touch .build/packages
}

# What runs lies here.
server_folder=.build/server

# One compiler for all projects, which ends with the build: each by itself would spend most of its time warming up. Nothing here runs long
# enough for a profile to pay.
compile() {
  local code=0
  DOTNET_TieredPGO=0 dotnet "$@" --verbosity quiet -p:UseSharedCompilation=true || code=$?
  dotnet build-server shutdown --vbcscompiler >/dev/null 2>&1 || true
  return $code
}

# What runs, without looking at how it is written: that is for the tests. The client's types are committed, so it is built beside the server.
build_to_run() {
  (client_packages && in_client npm run --silent build) >.build/client.log 2>&1 &
  local client=$! quickly=(-c Release -clp:NoSummary -p:RunAnalyzers=false -p:EnforceCodeStyleInBuild=false -p:OpenApiGenerateDocuments=false)
  compile build src/IronLoop.StandIns "${quickly[@]}" >&2
  compile publish src/IronLoop.Server "${quickly[@]}" -o "$server_folder" >&2
  wait $client || { cat .build/client.log >&2; stop "The client could not be built."; }
  node scripts/third-party.mjs "$server_folder" client
}

# The server is built first: its build writes the document that the client's types come from.
build_server() {
  compile build src/IronLoop.Server -c Release -clp:NoSummary >&2
  compile build src/IronLoop.StandIns -c Release -clp:NoSummary >&2
  publish_server
}

in_client() { (cd client && "$@"); }

publish_server() {
  dotnet publish src/IronLoop.Server -c Release --no-build --verbosity quiet -clp:NoSummary -o "$server_folder" >&2
}

build_client() {
  in_client npm run --silent types >&2
  in_client npm run --silent build >&2
  node scripts/third-party.mjs "$server_folder" client
}
