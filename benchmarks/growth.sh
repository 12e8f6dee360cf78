#!/usr/bin/env bash
# How times grow: by closed jobs (and as many bands), by open jobs, by screens that work at once. Prints a row for each.
# usage: benchmarks/growth.sh FOLDER [JOBS...]   a folder to fill shops in; built in Release and published before (./run.sh does both)
set -euo pipefail
cd "$(dirname "$0")/.."
folder=$1
shift
counts=("$@")
[ ${#counts[@]} -gt 0 ] || counts=(10000 100000 1000000)
port=5197
long() { dotnet benchmarks/IronLoop.LongShop/bin/Release/net10.0/IronLoop.LongShop.dll "$@"; }
load() { dotnet benchmarks/IronLoop.Load/bin/Release/net10.0/IronLoop.Load.dll "http://127.0.0.1:$port" "$@"; }

# SHOP BENCHES WHAT: half a minute of that many benches with a second's pause, after as much to warm up
row() {
    # What was copied is on the disk first, or the first thing stored would wait for it.
    sync
    dotnet .build/server/IronLoop.Server.dll --port $port --data "$1" --demo > "$folder/server.log" 2>&1 &
    local server=$! began
    began=$(date +%s%N)
    until curl -sf "http://127.0.0.1:$port/api/health" > "$folder/health"; do sleep 0.05; done
    local ready=$((($(date +%s%N) - began) / 1000000))
    sleep 10
    load $server "$2" 20 1 > "$folder/warm"
    load $server "$2" 30 1 > "$folder/load"
    echo "== $3: answers after $ready ms"
    grep -v -e VmRSS -e '^ *empty' "$folder/load"
    grep VmRSS "$folder/load" | tail -1
    kill $server
    wait $server || true
}

for jobs in "${counts[@]}"; do
    [ -d "$folder/$jobs" ] || long fill "$jobs" "$folder/$jobs" 2> "$folder/fill.log"
    rm -rf "$folder/work"; cp -r "$folder/$jobs" "$folder/work"
    row "$folder/work" 20 "$jobs jobs closed, $jobs bands, 20 benches"
done
for open in 20 200 2000; do
    rm -rf "$folder/work"; cp -r "$folder/${counts[0]}" "$folder/work"
    long open "$open" "$folder/work"
    row "$folder/work" 20 "$open jobs open, ${counts[0]} closed, 20 benches"
done
for screens in 1 20 50; do
    rm -rf "$folder/work"; cp -r "$folder/${counts[0]}" "$folder/work"
    row "$folder/work" "$screens" "$screens benches, ${counts[0]} closed"
done
rm -rf "$folder/work"
