#!/bin/sh
# Puts the two proxies of deploy/ before a demo, with certificates made for the purpose, and goes through each: a page,
# a sign-in whose cookie is bound to TLS, a write, a write from elsewhere, and the line of timing gates. Needs root, to
# install the proxies from Debian's packages if they are not there.
set -eu
cd "$(dirname "$0")/.."
for tool in nginx caddy openssl curl; do
    command -v "$tool" >/dev/null && continue
    apt-get update -qq && apt-get install -qq -y --no-install-recommends nginx caddy openssl curl >/dev/null
    break
done
cargo build --quiet --locked --workspace --bins --tests
work=$(mktemp -d)
begun=
trap 'kill $begun 2>/dev/null || true; sleep 1; rm -rf "$work"' EXIT
openssl req -x509 -newkey rsa:2048 -nodes -days 1 -subj /CN=jogo.example -addext subjectAltName=DNS:jogo.example \
    -keyout "$work/privkey.pem" -out "$work/fullchain.pem" 2>/dev/null

serve() {
    target/debug/jogo demo --data "$work/$1" --port "$2" --today 2031-02-10 \
        --public-url "https://jogo.example:$3" --behind-proxy >"$work/$1.out" &
    begun="$begun $!"
    for _ in $(seq 100); do grep -q "Jogo is open" "$work/$1.out" 2>/dev/null && return; sleep 0.2; done
    echo "Jogo did not open" >&2 && exit 1
}

# The files of deploy/ with the ports, names and certificates of this test in the place of the usual ones.
serve nginx 7390 7391
mkdir -p "$work/nginx.d"
{
    echo "daemon off; pid $work/nginx.pid; error_log $work/nginx.log;"
    echo "events {}"
    echo "http { access_log off; client_body_temp_path $work/nginx.d; proxy_temp_path $work/nginx.d;"
    sed -e '/^server {$/,/^}$/!b' -e 's/listen 80;/listen 127.0.0.1:7392;/' -e 's/listen 443 ssl;/listen 127.0.0.1:7391 ssl;/' \
        -e 's/^    http2 on;$//' -e "s#/etc/ssl/jogo#$work#" -e 's/127.0.0.1:7300/127.0.0.1:7390/' deploy/nginx.conf
    echo "}"
} >"$work/nginx.conf"
nginx -c "$work/nginx.conf" &
begun="$begun $!"

serve caddy 7393 7394
{
    echo "{"
    echo "	admin off"
    echo "	auto_https disable_redirects"
    echo "	https_port 7394"
    echo "}"
    sed -e "s#reverse_proxy 127.0.0.1:7300#tls $work/fullchain.pem $work/privkey.pem\n	reverse_proxy 127.0.0.1:7393#" \
        deploy/Caddyfile
} >"$work/Caddyfile"
XDG_DATA_HOME="$work" XDG_CONFIG_HOME="$work" caddy run --config "$work/Caddyfile" --adapter caddyfile 2>"$work/caddy.log" &
begun="$begun $!"
sleep 2

through() { # proxy, port
    proxy=$1 port=$2
    origin="https://jogo.example:$port"
    is() { # what, wanted, found
        [ "$2" = "$3" ] && echo "$proxy: $1" && return
        echo "$proxy: $1: $3 instead of $2" >&2 && exit 1
    }
    ask() {
        curl --silent --show-error --http1.1 --cacert "$work/fullchain.pem" --resolve "jogo.example:$port:127.0.0.1" \
            --cookie-jar "$work/$proxy.jar" --cookie "$work/$proxy.jar" --max-time 20 "$@"
    }
    status() { ask --output /dev/null --write-out '%{http_code}' "$@"; }
    is "a page" 200 "$(status "$origin/today")"
    signed=$(ask --include --header "Origin: $origin" --json '{"login":"keya","password":"skerrow-floor"}' \
        "$origin/api/v1/session")
    is "the cookie is bound to TLS" 2 "$(printf '%s' "$signed" | grep -ci '^set-cookie: __Host-jogo.*Secure')"
    is "browsers are told to stay with TLS" 1 "$(printf '%s' "$signed" | grep -ci '^strict-transport-security')"
    is "a write" 200 "$(status --request PUT --header "Origin: $origin" --json '{"pace_m":0.8}' "$origin/api/v1/session/pace")"
    is "a write from elsewhere" 403 \
        "$(status --request PUT --header 'Origin: https://evil.example' --json '{"pace_m":0.8}' "$origin/api/v1/session/pace")"
    team=$(ask "$origin/api/v1/session" | sed 's/.*"teams":\[{"id":"\([^"]*\)".*/\1/')
    address=$(ask --request POST --header "Origin: $origin" "$origin/api/v1/teams/$team/gates" | sed 's/.*"address":"\([^"]*\)".*/\1/')
    is "gates are given the public address" "wss://jogo.example:$port" "${address%%/api/*}"
    is "the line of gates opens" 101 "$(status --max-time 3 --header 'Connection: Upgrade' --header 'Upgrade: websocket' \
        --header 'Sec-WebSocket-Version: 13' --header 'Sec-WebSocket-Key: am9nb2pvZ29qb2dvam9nbw==' \
        "https${address#wss}" || true)"
}
through nginx 7391
through caddy 7394
