#!/bin/sh
# Installs packages of Debian that a command needs and the machine lacks.
set -eu
if [ "$(id -u)" -ne 0 ]; then
    echo "Please install these packages first: $*  (as root: apt-get install $*)" >&2
    exit 1
fi
apt-get update -qq
DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null
