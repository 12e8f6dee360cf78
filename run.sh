#!/usr/bin/env bash
# Starts Iron Loop, with the demo unless told otherwise. Builds what is stale first.
set -euo pipefail
from=$PWD
cd "$(dirname "$0")"
. scripts/house.sh

usage='Usage: ./run.sh [--port N] [--data FOLDER] [--empty] [--restore FILE]
  --port N       port on 127.0.0.1 (5180)
  --data FOLDER  where the shop is kept (data/demo, or data/shop with --empty)
  --empty        start without the demo
  --restore FILE put a backup in the place of the shop in the folder, and end'
port=5180 data='' demo=1 restore=''
while [ $# -gt 0 ]; do
  case "$1" in
    --port) port=${2:?"--port needs a number"}; shift ;;
    --data) data=${2:?"--data needs a folder"}; shift ;;
    --empty) demo=0 ;;
    --restore) restore=${2:?"--restore needs a file"}; shift ;;
    -h | --help) echo "$usage"; exit 0 ;;
    *) stop "What is $1? $usage" ;;
  esac
  shift
done
case "$data" in
  '') [ "$demo" -eq 1 ] && data=data/demo || data=data/shop ;;
  /*) ;;
  # A folder is meant from where the command was given.
  *) data=$from/$data ;;
esac

mkdir -p .build
if stale .build/app src client scripts Directory.Build.props Directory.Packages.props global.json \
  || [ ! -e client/dist/index.html ] || [ ! -e "$server_folder/IronLoop.Server" ] \
  || [ ! -e src/IronLoop.StandIns/bin/Release/net10.0/IronLoop.StandIns ]; then
  need_tools
  say "Building; the first time takes a minute or two."
  build_to_run
  touch .build/app
fi
case "$restore" in
  '' | /*) ;;
  *) restore=$from/$restore ;;
esac
if [ -n "$restore" ]; then
  exec "$server_folder/IronLoop.Server" --data "$data" --restore "$restore"
fi
switches=(--port "$port" --data "$data" --web client/dist)
if [ "$demo" -eq 1 ]; then
  # The stand-ins come with the demo: their panel one port up, the caliper's line two, the suppliers three, the label printer four. They end with the server.
  switches+=(--demo --stand-ins $((port + 1)))
  src/IronLoop.StandIns/bin/Release/net10.0/IronLoop.StandIns --port $((port + 1)) --while $$ >/dev/null &
fi
exec "$server_folder/IronLoop.Server" "${switches[@]}"
