#!/bin/sh
# Runs the benchmarks; JAVA_HOME must name a JDK 25 or newer.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B -ntp -pl core,bench package -DskipTests
cd bench
exec "$JAVA_HOME/bin/java" -cp "target/classes:../core/target/classes:$(cat target/classpath)" org.openjdk.jmh.Main "$@"
