#!/usr/bin/env bash
# Builds the server, which writes its API description, and then the front end from it. What is up to date is left alone.
# build.sh [configuration] [folder]: with a folder the server is compiled ahead of time into it, so that its first answers do not wait
# for code to be compiled; that takes about two minutes the first time.
set -euo pipefail
cd "$(dirname "$0")/.."
configuration=${1:-Debug}
stamps=$PWD/web/node_modules/.cabida
mark() { sha256sum "$@" 2> /dev/null | sha256sum | cut -d' ' -f1; }

if [ -n "${2:-}" ]; then
  dotnet publish src/Cabida.Web -c "$configuration" --use-current-runtime --self-contained false -p:PublishReadyToRun=true \
    -o "$2" --nologo -v quiet -clp:ErrorsOnly\;NoSummary
else
  dotnet build src/Cabida.Web -c "$configuration" --nologo -v quiet -clp:ErrorsOnly\;NoSummary
fi

packages=$(mark web/package.json web/package-lock.json)
if [ "$(cat "$stamps/packages" 2> /dev/null)" != "$packages" ]; then
  (cd web && npm ci --no-audit --no-fund --loglevel=error)
  mkdir -p "$stamps" && printf '%s' "$packages" > "$stamps/packages"
fi

sources=$(find web/src web/public web/index.html web/vite.config.ts web/src/api/generated/openapi.json -type f ! -name schema.d.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
if [ ! -f web/dist/index.html ] || [ "$(cat "$stamps/sources" 2> /dev/null)" != "$sources" ]; then
  (cd web && npm run --silent build > "$stamps/build.log" 2>&1) || { cat "$stamps/build.log" >&2; exit 1; }
  printf '%s' "$sources" > "$stamps/sources"
fi
