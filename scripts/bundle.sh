#!/bin/sh
# Says how much of the front end a coach's first screen fetches, on the wire, and fails if it outgrows its limit.
set -eu
cd "$(dirname "$0")/.."
limit=250
# The page itself names the scripts that every visit begins with; what only the director's desk shows comes when it is
# opened.
first=$(grep -o 'assets/[^"]*\.js' web/dist/index.html | sort -u | sed 's|^|web/dist/|')
# Beside them it fetches the texts of one language: the one with the longest counts.
first="$first $(ls -S web/dist/assets/en-*.js web/dist/assets/de-*.js | head -n 1)"
# shellcheck disable=SC2086 -- one word for each file
weight=$(for file in $first; do gzip -9 -c "$file" | wc -c; done | awk '{ all += $1 } END { print all }')
all=$(for file in web/dist/assets/*.js; do gzip -9 -c "$file" | wc -c; done | awk '{ all += $1 } END { print all }')
echo "front end: $((weight / 1000)) kB of scripts for a coach's first screen, gzipped (limit $limit kB); $((all / 1000)) kB in all"
[ "$weight" -le "${limit}000" ] || { echo "the first screen outgrew its limit" >&2; exit 1; }
