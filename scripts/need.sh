# Sourced: says plainly what is missing on this machine.
need() {
  if ! command -v "$1" > /dev/null 2>&1; then
    printf 'Missing: %s. Install it and start again.\n' "$2" >&2
    exit 1
  fi
}

need_dotnet() {
  if ! dotnet --list-sdks | grep -q "^$1\."; then
    printf 'Missing: the .NET SDK %s. Found only:\n%s\n' "$1" "$(dotnet --list-sdks)" >&2
    exit 1
  fi
}

need_node() {
  local found
  found=$(node --version | sed 's/^v\([0-9]*\).*/\1/')
  if [ "$found" -lt "$1" ]; then
    printf 'Node %s or newer is needed; this is %s.\n' "$1" "$(node --version)" >&2
    exit 1
  fi
}
