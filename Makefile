.PHONY: demo test check shots bench scale load kill proxies package queries client words library schema fuzz web release
.PHONY: tools-web tools-browser tools-queries

# Everything that a machine with Rust and Node lacks is installed by the commands themselves.
export SQLX_OFFLINE ?= true
export npm_config_fund = false
export npm_config_audit = false

# Built in half of the time of a release; the planner is compiled for speed here too.
demo: web
	cargo build --locked --package jogo
	./target/debug/jogo demo $(ARGS)

release: web
	cargo build --release --locked --package jogo

web: web/dist/index.html

web/node_modules/.package-lock.json: web/package.json web/package-lock.json
	cd web && npm ci --no-progress
	@touch $@

web/dist/index.html: web/node_modules/.package-lock.json web/index.html web/vite.config.ts \
		$(shell find web/src web/public locales -type f 2>/dev/null)
	cd web && npm run --silent build

# Renews the checked form of the queries, and the client's types from the interface that the code describes.
queries: tools-queries
	scripts/queries.sh

client: web
	scripts/client.sh

# Renews the types of the interface's texts and the glossary from the English catalogue.
words: web/node_modules/.package-lock.json
	node scripts/messages.mjs > web/src/texts/messages.ts
	node scripts/glossary.mjs > docs/glossary.md

# Renews docs/library.md and its sheets after the demo's library has changed.
library:
	cargo build --locked --package jogo
	node scripts/library.mjs

# Renews the published schemas of the forms.
schema:
	for form in drill problem plan; do \
		cargo run --quiet --locked --package jogo -- schema $$form > docs/schema/$$form.schema.json || exit 1; \
	done

# Feeds a notation (NOTATION says which, layout or score) with whatever breaks parsers, beginning with what the demo has
# of it; needs cargo-fuzz.
fuzz:
	node scripts/corpus.mjs $(or $(NOTATION),layout) fuzz/corpus/$(or $(NOTATION),layout)
	cargo fuzz run --sanitizer none $(or $(NOTATION),layout) -- -max_total_time=$(or $(SECONDS),60) -max_len=4096

check: tools-queries web
	cargo fmt --all --check
	scripts/queries.sh --check
	scripts/client.sh --check
	for form in drill problem plan; do \
		target/debug/jogo schema $$form | diff -q - docs/schema/$$form.schema.json >/dev/null || \
			{ echo "docs/schema/$$form.schema.json is stale: run make schema" >&2; exit 1; }; \
	done
	target/debug/jogo library check $(addprefix demo/,bands.json skills drills tests.json standards.json milestones.json \
		curriculum.json templates translations)
	node scripts/library.mjs --check
	node scripts/messages.mjs | diff -q - web/src/texts/messages.ts >/dev/null || \
		{ echo "web/src/texts/messages.ts is stale: run make words" >&2; exit 1; }
	node scripts/glossary.mjs | diff -q - docs/glossary.md >/dev/null || \
		{ echo "docs/glossary.md is stale: run make words" >&2; exit 1; }
	node scripts/texts.mjs
	node scripts/sentences.mjs
	node scripts/lines.mjs
	node scripts/circles.mjs
	node scripts/handlers.mjs
	node scripts/schemas.mjs
	cd web && npm run --silent types && npm run --silent lint
	scripts/bundle.sh

test: tools-browser web
	cargo build --locked --workspace --bins --tests
	cargo test --locked --workspace

shots: tools-browser web
	cargo build --locked --workspace --bins --tests
	target/debug/shots docs/screenshots $(ARGS)

bench:
	cargo bench --locked --package jogo-core

# Measures a large academy over HTTP; SCALE says how many times the demo (121 unless it is said: almost five million
# trials).
scale: release tools-queries
	cargo build --release --locked --package jogo-load
	scripts/scale.sh

# Lets 500 coaches come within a minute, and a storm of sign-ins; errs if a bound is not kept.
load: release
	cargo build --release --locked --package jogo-load
	target/release/load

# Kills the server under writers, KILLS times (1000 unless it is said), and looks for entries that are lost.
kill: release
	cargo build --release --locked --package jogo-load
	target/release/kill $(or $(KILLS),1000)

# Goes through nginx and Caddy, with the files of deploy/.
proxies: web
	scripts/proxies.sh

# A Debian package of the released program, with its service: in target/debian. Needs cargo install cargo-deb once.
package: release
	cargo deb --no-build --locked --package jogo

tools-queries:
	@command -v sqlite3 >/dev/null || scripts/debian.sh sqlite3

tools-browser:
	@command -v chromium-headless-shell >/dev/null && command -v chromedriver >/dev/null || \
		scripts/debian.sh chromium-headless-shell chromium-driver
