#!/bin/sh
# Fills a Wake of its own with many attempts and measures its answers: bench/season.sh [attempts] [folder]. With a folder the data is
# kept there, and only measured when it is there already.
set -eu
cd "$(dirname "$0")/.."
count="${1:-10000}"
data="${2:-}"
if [ -z "$data" ]; then data="$(mktemp -d)"; trap 'rm -rf "$data"' EXIT; fi
export WAKE_DATA="$data" WAKE_PORT=8499 JAVA_TOOL_OPTIONS=-Xmx512m

ready() { until curl -sf "http://127.0.0.1:$WAKE_PORT/api/ready" >/dev/null; do sleep 0.05; done; }
begin() { ./wake start & wake=$!; ready; }
end() { kill "$wake"; wait "$wake" 2>/dev/null || true; }
memory() { grep VmRSS "/proc/$wake/status" || true; }

mvn -q -B -ntp -pl core,web,server,bench -am package -DskipTests
begin # builds what ./wake start needs
[ -f "$data/filled" ] || { java -cp bench/target/classes wake.bench.Season http://127.0.0.1:$WAKE_PORT fill "$count" && touch "$data/filled"; }
end
start=$(date +%s%3N)
begin
echo "ready again after $(( $(date +%s%3N) - start )) ms"
memory
java -cp bench/target/classes wake.bench.Season http://127.0.0.1:$WAKE_PORT measure
memory
ls -l "$data"/*.mv.db
end
