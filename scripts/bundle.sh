#!/bin/sh
# Says how much the front end weighs on the wire, and fails if it outgrows its limit.
set -eu
cd "$(dirname "$0")/.."
limit=250
weight=$(cat web/dist/assets/*.js | gzip -9 | wc -c)
echo "front end: $((weight / 1000)) kB of scripts, gzipped (limit $limit kB)"
[ "$weight" -le "${limit}000" ] || { echo "the front end outgrew its limit" >&2; exit 1; }
