#!/usr/bin/env bash
# Installs what the tests need where it is missing, then checks the style and runs every test.
# The last line printed is "N passed, N failed".
set -uo pipefail
cd "$(dirname "$0")"
. scripts/need.sh

need dotnet "the .NET SDK 10" && need_dotnet 10
need node "Node 20 or newer" && need_node 20
need npm "npm, which comes with Node"

# Debian's packages that tests use: a browser, and programs other than ours that open cut files.
missing=""
command -v chromium > /dev/null && command -v chromedriver > /dev/null || missing="chromium chromium-driver"
command -v rsvg-convert > /dev/null || missing="$missing librsvg2-bin"
command -v pdftoppm > /dev/null || missing="$missing poppler-utils"
command -v hp2xx > /dev/null || missing="$missing hp2xx"
/usr/bin/python3 -c "import ezdxf" 2> /dev/null || missing="$missing python3-ezdxf"
if [ -n "$missing" ]; then
  echo "Installing Debian's packages that tests use: $missing"
  as_root=""; [ "$(id -u)" = 0 ] || as_root=sudo
  # shellcheck disable=SC2086 # a word for each package
  $as_root apt-get update -q && $as_root apt-get install -y -q --no-install-recommends $missing \
    || { echo "They could not be installed. Install the packages $missing and start again." >&2; echo "0 passed, 1 failed"; exit 1; }
fi

passed=0
failed=0
log=$(mktemp)
logs=$(mktemp -d)
browser=""
trap '[ -z "$browser" ] || kill "$browser" 2> /dev/null; rm -rf "$log" "$logs"' EXIT

# A check counts as one test; its output is shown when it fails.
check() {
  local name=$1; shift
  if "$@" > "$log" 2>&1; then
    passed=$((passed + 1)); echo "ok      $name"
  else
    failed=$((failed + 1)); echo "FAILED  $name"; tail -n 60 "$log"
  fi
}

check "server and front end build" scripts/build.sh Release
check "tests build" dotnet build Cabida.slnx -c Release --nologo -v quiet
check "C# is formatted" scripts/format.sh check-cs
check "TypeScript is formatted" scripts/format.sh check-web
check "TypeScript is clean" npm --prefix web run --silent lint

# Runs the tests of a project; what they print is shown when asked for.
run_project() {
  dotnet test "tests/Cabida.$1.Tests" -c Release --no-build --nologo -v quiet --logger "console;verbosity=minimal" > "$logs/$1" 2>&1
}

# Shows what a project's tests printed and adds up their counts.
count() {
  cat "$logs/$1"
  local line p f
  line=$(grep -E '(Passed|Failed)!  - Failed: ' "$logs/$1" | tail -1)
  if [ -z "$line" ]; then
    failed=$((failed + 1)); echo "FAILED  the tests of $1 gave no result"; return
  fi
  f=$(sed -E 's/.*Failed: +([0-9]+).*/\1/' <<< "$line")
  p=$(sed -E 's/.*Passed: +([0-9]+).*/\1/' <<< "$line")
  passed=$((passed + p)); failed=$((failed + f))
}

# The browser is waited for much of the time, and never by the clock: its tests run beside all the others.
run_project Browser &
browser=$!
for project in Core Typography Formats Devices Store Architecture Trust Web; do
  run_project "$project"
  count "$project"
done

if (cd web && npx vitest run --reporter=json --outputFile="$log" > /dev/null 2>&1) || [ -s "$log" ]; then
  passed=$((passed + $(node -p "JSON.parse(require('fs').readFileSync('$log')).numPassedTests")))
  failed=$((failed + $(node -p "JSON.parse(require('fs').readFileSync('$log')).numFailedTests")))
else
  failed=$((failed + 1)); echo "FAILED  the front end's own tests gave no result"
fi

wait "$browser"
browser=""
count Browser

echo "$passed passed, $failed failed"
[ "$failed" = 0 ]
