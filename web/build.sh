#!/usr/bin/env bash
# Builds the interface: packages only when the lock file changed, the bundle only when a source did.
set -euo pipefail
cd "$(dirname "$0")"
stamp=node_modules/.lock-hash
hash=$(sha256sum package-lock.json | cut -d' ' -f1)
if [ ! -f "$stamp" ] || [ "$(cat "$stamp")" != "$hash" ]; then
  npm ci --no-audit --no-fund
  echo "$hash" > "$stamp"
fi
newer=$(find src public crew index.html openapi.json package.json vite.config.ts vite.crew.config.ts tsconfig.json \
  -path src/api/generated -prune -o -type f -newer dist-crew/index.html -print 2>/dev/null | head -1 || true)
if [ ! -f dist-crew/index.html ] || [ -n "$newer" ]; then
  npm run --silent build
  # once here, and not for each page that is opened
  gzip --best --keep --no-name dist/assets/*.js dist/assets/*.css
fi
