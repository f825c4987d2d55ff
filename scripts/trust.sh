#!/usr/bin/env bash
# Tries by the hour what the tests try by the minute: power cuts at random moments.
# Usage: scripts/trust.sh [minutes]. SEED=number tries another course. What it found is told at the end; docs/trust.md keeps the figures.
set -euo pipefail
cd "$(dirname "$0")/.."
minutes=${1:-10}
dotnet build tests/Cabida.Trust.Tests -c Release --nologo -v quiet
CABIDA_MINUTES=$minutes CABIDA_SEED=${SEED:-$RANDOM} dotnet test tests/Cabida.Trust.Tests -c Release --no-build --nologo \
  --filter "FullyQualifiedName~Kills" --logger "console;verbosity=detailed"
