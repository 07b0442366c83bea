#!/usr/bin/env bash
# Installs the wheel where nothing of the repository is, starts it, asks it, stops it: as a user would.
# `--near`: with what it depends on taken from here, in seconds.
set -eu
cd "$(dirname "$0")/../.."
wheel=$(ls dist/easy_tally-*.whl)
home=$(mktemp -d)
trap 'kill "$pid" 2>/dev/null || true; sleep 1; rm -rf "$home"' EXIT
pid=
python3 -m venv "$home/venv"
if [ "${1:-}" = --near ]; then
  "$home/venv/bin/pip" install --quiet --disable-pip-version-check --no-deps "$wheel"
  where='import sysconfig; print(sysconfig.get_path("purelib"))'
  .venv/bin/python -c "$where" >"$("$home/venv/bin/python" -c "$where")/near.pth"
else
  "$home/venv/bin/pip" install --quiet --disable-pip-version-check "$wheel"
fi
cp demo/builds/heron.tally.json "$home/"
cd "$home"
export EASY_TALLY_VAR="$home/var" PATH="$home/venv/bin:/usr/bin:/bin"
status=0
easy-tally tally heron.tally.json >told || status=$?
[ "$status" -le 1 ] && grep -q Heron told
port=$(python3 -c 'import socket; s = socket.socket(); s.bind(("127.0.0.1", 0)); print(s.getsockname()[1])')
easy-tally demo "$port" >log 2>&1 &
pid=$!
for _ in $(seq 100); do
  if python3 - "$port" 2>/dev/null <<'PY'
import json, re, sys, urllib.request
at = f"http://127.0.0.1:{sys.argv[1]}"
page = urllib.request.urlopen(f"{at}/").read().decode()
builds = json.load(urllib.request.urlopen(f"{at}/api/v1/builds"))
script = re.search(r'src="(/static/[^"]+)"', page)[1]
assert len(urllib.request.urlopen(at + script).read()) > 100_000
assert "Heron" in json.dumps(builds)
PY
  then
    echo "The wheel installs, tallies and serves."
    exit 0
  fi
  sleep 0.2
done
cat log
exit 1
