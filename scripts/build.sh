#!/usr/bin/env bash
# Builds the server, which writes its API description, and then the front end from it. What is up to date is left alone.
set -euo pipefail
cd "$(dirname "$0")/.."
configuration=${1:-Debug}
stamps=$PWD/web/node_modules/.cabida
mark() { sha256sum "$@" 2> /dev/null | sha256sum | cut -d' ' -f1; }

dotnet build src/Cabida.Web -c "$configuration" --nologo -v quiet -clp:ErrorsOnly\;NoSummary

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
