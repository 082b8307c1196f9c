#!/bin/sh
# Measures Jogo on a large academy: makes one (SCALE times the demo, 121 unless it is said: almost five million trials),
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
# first NAME PATH: how long until what is worked out aside is there; then what it takes once it is.
first() {
    name="$1"
    begun=$(date +%s%N)
    while [ "$(ask director GET "$2" | tail -1 | cut -d' ' -f1)" = 202 ]; do sleep 0.1; done
    printf "%-52s %7.1f ms  (worked out, in the background)\n" "$name" "$((($(date +%s%N) - begun) / 1000000))"
    sample "  the same once it is there" director GET "$2"
}
sample "squad board" keya GET "/teams/$team/board"
sample "sheet of a test session" keya GET "/teams/$team/tests/weave-time"
player=$(ask keya GET "/teams/$team/board" | grep -o '"players":\[{[^}]*"id":"[^"]*' | sed 's/.*"id":"//')
entry=$(ask keya GET "/teams/$team/sessions" | grep -o '"edition":"[^"]*","edition_number":[0-9]*,"curriculum":"[^"]*","session":[0-9]*' | tail -1)
edition=$(echo "$entry" | sed 's/"edition":"\([^"]*\)".*/\1/')
sample "a team's sessions" keya GET "/teams/$team/sessions"
sample "a session with its log and whom to look at" keya GET "/teams/$team/sessions/$edition/${entry##*:}"
sample "levels of a band" director GET '/levels?band=u8-u9'
sample "milestones of a band" director GET '/levels/milestones?band=u8-u9'
curriculum=$(ask director GET '/curricula' | grep -o '{"id":"[^}]*Autumn with the ball' | tail -1 | sed 's/.*{"id":"\([^"]*\)".*/\1/')
first "delivery of a curriculum, all clubs" "/curricula/$curriculum/delivery"
sample "what was delivered of it, by session" director GET "/curricula/$curriculum/delivered"
first "what squads have reached of it so far" "/curricula/$curriculum/so-far"
first "standards of a test, four bands" /standards/weave-time
echo '{"bands": {"u8-u9": {"building": 30, "secure": 25, "stretching": 20}}}' >"$work/thought.json"
sample "other thresholds weighed" director POST /standards/weave-time/weighed "$work/thought.json"

target/release/readers "$at"

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
# As uploads to every team leave it.
sqlite3 "$work/data/academy.sqlite" "UPDATE team_levels SET doc = NULL, version = version + 1;"
first "levels of a band after a test evening of all teams" "/levels?band=u8-u9"
sample "levels of a band, after them" director GET '/levels?band=u8-u9'
sqlite3 "$work/data/academy.sqlite" "SELECT count(*) || ' teams' FROM team; SELECT count(*) || ' players' FROM player; SELECT count(*) || ' trials' FROM trial;"
