#!/usr/bin/env bash
# Lays out C# (CSharpier) and TypeScript (Prettier), 140 wide. With check-cs or check-web nothing is changed: it fails where
# something would be.
set -euo pipefail
cd "$(dirname "$0")/.."

case "${1:-}" in
  check-cs) dotnet tool restore > /dev/null && dotnet csharpier check . ;;
  check-web) npm --prefix web run --silent check-format ;;
  "") dotnet tool restore > /dev/null && dotnet csharpier format . && npm --prefix web run --silent format ;;
  *) echo "Usage: scripts/format.sh [check-cs|check-web]" >&2; exit 2 ;;
esac
