#!/bin/sh
# Compares the icons of four packages that no test holds with the browser's own drawing of them. Run by hand, after ./test.sh has
# installed what it takes; about a quarter of an hour. The figures of the last run are in docs/performance.md.
set -eu
cd "$(dirname "$0")/.."

fetched="$(mktemp -d)"
trap 'rm -rf "$fetched"' EXIT
npm install --silent --no-save --ignore-scripts --prefix "$fetched/npm" lucide-static@0.525.0 bootstrap-icons@1.13.1 remixicon@4.6.0 ionicons@8.0.9

mkdir "$fetched/icons"
cp -r "$fetched/npm/node_modules/lucide-static/icons" "$fetched/icons/lucide-static"
cp -r "$fetched/npm/node_modules/bootstrap-icons/icons" "$fetched/icons/bootstrap-icons"
cp -r "$fetched/npm/node_modules/remixicon/icons" "$fetched/icons/remixicon"
cp -r "$fetched/npm/node_modules/ionicons/dist/svg" "$fetched/icons/ionicons"

CABIDA_ICONS="$fetched/icons" dotnet test tests/Cabida.Browser.Tests -c Release --nologo --logger "console;verbosity=detailed" \
    --filter "FullyQualifiedName~Icons_of_packages_never_seen_before"
