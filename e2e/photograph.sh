#!/bin/sh
# Photographs the demo's main views into docs/screenshots. Needs Chromium, and JAVA_HOME at a JDK 25 or newer.
set -eu
cd "$(dirname "$0")/.."
mvn -q -B -ntp verify -Dtest=Photographs -Dsurefire.failIfNoSpecifiedTests=false -Dwake.photographs="$PWD/docs/screenshots"
ls docs/screenshots
