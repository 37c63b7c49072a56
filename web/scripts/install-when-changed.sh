#!/bin/sh
# Installs the packages of the lock file, unless they are already there.
set -eu
if cmp -s package-lock.json node_modules/.installed-lock.json; then
  exit 0
fi
npm ci --loglevel=error
cp package-lock.json node_modules/.installed-lock.json
