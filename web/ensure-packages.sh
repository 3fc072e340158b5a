#!/bin/sh
# Installs the npm packages only when they are missing or the lockfile has changed since the last install.
set -eu
stamp=node_modules/.installed-lock
if [ -f "$stamp" ] && cmp -s package-lock.json "$stamp"; then exit 0; fi
npm ci --no-audit --no-fund --loglevel=error
cp package-lock.json "$stamp"
