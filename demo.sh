#!/usr/bin/env bash
# Builds what is needed and starts Cabida with the demo data on a loopback address.
# DATA=folder keeps the library elsewhere; PORT=number serves it elsewhere; FRESH=1 begins with an empty library.
# The cutter stand-in is started beside it, at the port after that or CUTTER_PORT=number; FAST=times says how much faster than life it cuts.
set -euo pipefail
cd "$(dirname "$0")"
. scripts/need.sh

need dotnet "the .NET SDK 10" && need_dotnet 10
need node "Node 20 or newer" && need_node 20
need npm "npm, which comes with Node"

data=${DATA:-data}
port=${PORT:-5310}
[ "${FRESH:-}" = 1 ] && rm -rf "$data"

server=src/Cabida.Web/bin/Release/ahead
scripts/build.sh Release "$server"
stand_ins=src/Cabida.StandIns
dotnet build "$stand_ins" -c Release --nologo -v quiet -clp:ErrorsOnly\;NoSummary
cutter=${CUTTER_PORT:-$((port + 1))}

# Both end with this script, however it is ended.
trap 'kill $(jobs -p) 2> /dev/null; wait' EXIT
trap 'exit 0' INT TERM
dotnet "$stand_ins/bin/Release/net10.0/Cabida.StandIns.dll" --port "$cutter" --fast "${FAST:-10}" &

printf '\nCabida is at http://127.0.0.1:%s  (stop it with Ctrl+C; its library is in %s/)\n\n' "$port" "$data"
dotnet "$server/Cabida.Web.dll" \
  --Urls "http://127.0.0.1:$port" --Data "$data" --Demo true --DemoDay true --FrontEnd web/dist --CutterStandIn "127.0.0.1:$cutter" &
wait $!
