#!/bin/sh
# Renews .sqlx, the checked form of every query, against a database made from the migrations.
# With --check: says whether .sqlx is stale, and changes nothing.
set -eu
cd "$(dirname "$0")/.."
database="$PWD/target/queries.sqlite"
fresh="$PWD/target/queries"
mkdir -p target
rm -rf "$fresh" "$database"*
mkdir -p "$fresh"
cat crates/store/migrations/*.sql | sqlite3 "$database"
touch crates/store/src/lib.rs
# One pass compiles everything, asks clippy and writes the queries.
SQLX_OFFLINE=false SQLX_OFFLINE_DIR="$fresh" DATABASE_URL="sqlite:$database" \
    cargo clippy --quiet --locked --workspace --all-targets -- --deny warnings
if [ "${1:-}" = "--check" ]; then
    diff -r .sqlx "$fresh" >/dev/null || { echo "the checked queries in .sqlx are stale: run make queries" >&2; exit 1; }
else
    rm -rf .sqlx && cp -r "$fresh" .sqlx
fi
