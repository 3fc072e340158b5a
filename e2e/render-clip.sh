#!/bin/sh
# Renders the demo's video clips anew from their simulated recordings. Needs ffmpeg, Chromium, and JAVA_HOME at a JDK 25 or newer;
# takes some minutes. "render-clip.sh heat" renders the heat only, "render-clip.sh clip" the other.
set -eu
cd "$(dirname "$0")/.."
render() { # $1 the property, $2 the file
  clip="server/src/main/resources/demo/$2"
  rm -f "$clip" "server/target/classes/demo/$2"
  mvn -q -B -ntp verify -Dtest=RenderClip -Dsurefire.failIfNoSpecifiedTests=false "-Dwake.$1=$PWD/$clip"
  ls -l "$clip"
}
case "${1:-both}" in
  clip) render clip skiff-sprint.webm ;;
  heat) render heat weir-race.webm ;;
  *) render clip skiff-sprint.webm; render heat weir-race.webm ;;
esac
