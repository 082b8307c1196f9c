#!/bin/sh
# Renews the types of the front end's client, and its limits, from the interface that the code describes.
# With --check: says whether they are stale, and changes nothing.
set -eu
cd "$(dirname "$0")/.."
mkdir -p target
# The whole workspace with its tests, as `make test` builds it: one package alone, or the programs without their
# tests, would build what they rest on once more, with other features.
cargo build --quiet --locked --workspace --bins --tests
target/debug/jogo openapi > target/openapi.json
web/node_modules/.bin/openapi-typescript target/openapi.json --default-non-nullable=false --enum-values \
    --output target/schema.ts >/dev/null
node scripts/limits.mjs target/openapi.json > target/limits.ts
for made in schema limits; do
    if [ "${1:-}" = "--check" ]; then
        diff -q "web/src/api/$made.ts" "target/$made.ts" >/dev/null ||
            { echo "web/src/api/$made.ts is stale: run make client" >&2; exit 1; }
    else
        cp "target/$made.ts" "web/src/api/$made.ts"
    fi
done
