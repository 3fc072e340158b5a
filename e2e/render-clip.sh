#!/bin/sh
# Renders the demo's video clip anew from its simulated recording. Needs ffmpeg, Chromium, and JAVA_HOME at a JDK 25 or newer;
# takes some minutes.
set -eu
cd "$(dirname "$0")/.."
clip=server/src/main/resources/demo/skiff-sprint.webm
rm -f "$clip" server/target/classes/demo/skiff-sprint.webm
mvn -q -B -ntp verify -Dtest=RenderClip -Dsurefire.failIfNoSpecifiedTests=false -Dwake.clip="$PWD/$clip"
ls -l "$clip"
