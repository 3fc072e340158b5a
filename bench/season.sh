#!/bin/sh
# Fills a Wake of its own with many attempts and measures its answers: bench/season.sh [attempts]; JAVA_HOME must name a JDK 25 or newer.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B -ntp -pl core,web,server,bench -am package -DskipTests
data="$(mktemp -d)"
trap 'kill "$wake" 2>/dev/null; rm -rf "$data"' EXIT
"$JAVA_HOME/bin/java" -Xmx512m -Dwake.data="$data" -Dserver.port=8499 -jar server/target/wake-server-*-app.jar &
wake=$!
until curl -sf http://127.0.0.1:8499/api/ready >/dev/null; do sleep 0.3; done
"$JAVA_HOME/bin/java" -cp bench/target/classes wake.bench.Season http://127.0.0.1:8499 "${1:-10000}" "$data"
grep VmRSS "/proc/$wake/status" || true
kill "$wake"; wait "$wake" 2>/dev/null || true
start=$(date +%s%3N)
"$JAVA_HOME/bin/java" -Xmx512m -Dwake.data="$data" -Dserver.port=8499 -jar server/target/wake-server-*-app.jar &
wake=$!
until curl -sf http://127.0.0.1:8499/api/ready >/dev/null; do sleep 0.05; done
echo "ready again after $(( $(date +%s%3N) - start )) ms"
