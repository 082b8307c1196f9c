#!/bin/sh
# Measures Jogo on a large academy: makes one (SCALE times the demo, 121 unless it is said: three million trials),
# serves it, and asks as people do. Prints medians over HTTP on this machine, in milliseconds.
set -eu
cd "$(dirname "$0")/.."
scale="${SCALE:-121}"
work="$(mktemp -d)"
trap 'kill "$server" 2>/dev/null; rm -rf "$work"' EXIT
begun=$(date +%s)
target/release/jogo demo --scale "$scale" --port 0 --today 2031-02-10 --data "$work/data" >"$work/says" &
server=$!
until grep -q "Jogo is open at" "$work/says"; do
    kill -0 "$server" 2>/dev/null || { echo "the demo could not be made" >&2; exit 1; }
    sleep 1
done
at=$(sed -n 's/^Jogo is open at //p' "$work/says")
echo "made in $(($(date +%s) - begun)) s, $(du -m "$work/data/academy.sqlite" | cut -f1) MB"

# ask WHO METHOD PATH [BODY-FILE]: the answer, with the seconds that it took as its last line.
ask() {
    curl --silent --show-error --cookie "$work/$1" --cookie-jar "$work/$1" --request "$2" --header "Origin: $at" \
        --header 'Content-Type: application/json' ${4:+--data-binary "@$4"} --write-out '\n%{http_code} %{time_total}\n' "$at/api/v1$3"
}
median() { # NAME: reads status and seconds of each answer
    sort -k2 -n | awk -v name="$1" '{ status[$1]++; at[NR] = $2 } END { for (s in status) all = all " " s; printf "%-52s %7.1f ms  (%d answers:%s)\n", name, 1000 * at[int((NR + 1) / 2)], NR, all }'
}
times=21
sample() { # NAME WHO METHOD PATH
    name="$1"
    shift
    for _ in $(seq "$times"); do ask "$@" | tail -1; done | median "$name"
}
for who in director keya; do
    printf '{"login": "%s", "password": "skerrow-floor"}' "$who" >"$work/who.json"
    ask "$who" POST /session "$work/who.json" >/dev/null
done
team=$(ask keya GET /session | grep -o '"teams":\[{[^}]*"id":"[^"]*' | sed 's/.*"id":"//')
sleep "${SETTLE:-120}" # what is worked out ahead has been worked out
sample "squad board" keya GET "/teams/$team/board"
sample "sheet of a test session" keya GET "/teams/$team/tests/weave-time"
player=$(ask keya GET "/teams/$team/board" | grep -o '"players":\[{[^}]*"id":"[^"]*' | sed 's/.*"id":"//')
sample "levels of a band" director GET '/levels?band=u8-u9'
sample "milestones of a band" director GET '/levels/milestones?band=u8-u9'
curriculum=$(ask director GET '/curricula' | grep -o '{"id":"[^}]*Autumn with the ball' | tail -1 | sed 's/.*{"id":"\([^"]*\)".*/\1/')
sample "delivery of a curriculum, all clubs" director GET "/curricula/$curriculum/delivery"
sample "what was delivered of it, by session" director GET "/curricula/$curriculum/delivered"
times=3 sample "what squads have reached of it so far" director GET "/curricula/$curriculum/so-far"
times=3 sample "standards of a test, four bands" director GET /standards/weave-time

# Uploads of 200 new entries each.
for n in $(seq 21); do
    {
        printf '{"trials": ['
        for i in $(seq 200); do
            [ "$i" = 1 ] || printf ','
            printf '{"id": "00000000-0000-4000-8000-%012d", "player": "%s", "test": "four-cuts", "taken_on": "2031-02-10", "side": null, "value": 7, "said_at": "2031-02-10T11:00:00Z"}' \
                $((n * 1000 + i)) "$player"
        done
        printf ']}'
    } >"$work/entries.json"
    ask keya POST "/teams/$team/trials" "$work/entries.json" | tail -1
done | median "upload of 200 entries"
sample "levels of a band, after them" director GET '/levels?band=u8-u9'
sqlite3 "$work/data/academy.sqlite" "SELECT count(*) || ' teams' FROM team; SELECT count(*) || ' players' FROM player; SELECT count(*) || ' trials' FROM trial;"
