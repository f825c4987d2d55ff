#!/usr/bin/env bash
# Compiles the server ahead of time into the folder given, so that its first answers do not wait for code to be compiled.
# What is up to date is left alone; the first time takes about two minutes.
set -euo pipefail
cd "$(dirname "$0")/.."
dotnet publish src/Cabida.Web -c Release --use-current-runtime --self-contained false -p:PublishReadyToRun=true \
  -o "$1" --nologo -v quiet -clp:ErrorsOnly\;NoSummary
