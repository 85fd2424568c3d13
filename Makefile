# Grey Pebble. `make demo` runs it, `make test` checks it.

PORT ?= 8080
DATA ?= data
BIN  := bin/greypebble

.PHONY: help demo test unit dev bench review load soak shots fmt build ui api lint check-api go-test e2e clean

help: ## what can be made
	@grep -hE '^[a-z0-9-]+:.*## ' $(MAKEFILE_LIST) | awk -F':.*## ' '{printf "  %-10s %s\n", $$1, $$2}'

demo: build ## set up what is missing, build, run on invented data
	@scripts/setup.sh mariadb
	@exec $(BIN) demo --port $(PORT) --data $(DATA)

test: lint go-test ## everything CI checks

build: check-api ui ## bin/greypebble
	go build -o $(BIN) ./cmd/greypebble

# npm ci only when the lock has changed since.
ui/node_modules/.stamp: ui/package.json ui/package-lock.json
	@scripts/setup.sh
	cd ui && npm ci --no-audit --no-fund --loglevel=error
	@touch $@

UI_SOURCES := $(shell find ui/src ui/public -type f -not -path '*/built/*') ui/index.html ui/vite.config.ts ui/openapi.yaml

# The core for the browser, and what Go runs it with there.
WASM := ui/src/core/built
$(WASM)/core.wasm: $(shell find core wasm answer interchange/pack -name '*.go' -not -name '*_test.go') $(shell find core -name '*.yaml') go.mod
	@mkdir -p $(WASM)
	GOOS=js GOARCH=wasm go build -trimpath -ldflags='-s -w' -o $@ ./wasm
	@cp "$$(go env GOROOT)/lib/wasm/wasm_exec.js" $(WASM)/wasm_exec.js

$(WASM)/core.wasm.br: $(WASM)/core.wasm ui/scripts/press.mjs
	node ui/scripts/press.mjs $(WASM)/core.wasm

ui/dist/index.html: ui/node_modules/.stamp $(UI_SOURCES) $(WASM)/core.wasm.br
	cd ui && npx vite build --logLevel warn
	@touch ui/dist/.gitkeep

# Published tide stations, made from a package of them; the program carries the file.
KNOWN := server/known/data/stations.json.gz
$(KNOWN): ui/node_modules/.stamp ui/scripts/stations.mjs
	@cd ui && node scripts/stations.mjs ../$@

ui: ui/dist/index.html $(KNOWN)

# What the program tells of itself. Built, not "go run": of every version that is run so, Go keeps the executable, and
# a disk was full of them.
.PHONY: told
told:
	@go build -o bin/told ./cmd/greypebble
	@bin/told openapi > bin/openapi.yaml
	@bin/told units > bin/units.json

api: ui/node_modules/.stamp told ## the API document and the types made from it
	mv bin/openapi.yaml ui/openapi.yaml
	mv bin/units.json ui/src/format/units.json
	cd ui && npx openapi-typescript openapi.yaml -o src/api/schema.d.ts

check-api: ui/node_modules/.stamp told ## fail when they are stale
	@cmp -s bin/openapi.yaml ui/openapi.yaml || { echo "ui/openapi.yaml is stale: run make api"; exit 1; }
	@cmp -s bin/units.json ui/src/format/units.json || { echo "ui/src/format/units.json is stale: run make api"; exit 1; }
	@cd ui && npx openapi-typescript openapi.yaml -o ../bin/schema.d.ts >/dev/null
	@cmp -s bin/schema.d.ts ui/src/api/schema.d.ts || { echo "ui/src/api/schema.d.ts is stale: run make api"; exit 1; }

lint: check-api ui ## formats, vet, linters, types and the interface's own tests
	@test -z "$$(gofmt -l $$(git ls-files -co --exclude-standard '*.go'))" || { echo "not formatted, run make fmt:"; gofmt -l $$(git ls-files -co --exclude-standard '*.go'); exit 1; }
	go vet ./...
	go tool -modfile=tools.mod staticcheck ./...
	go tool -modfile=tools.mod revive -config revive.toml ./...
	go tool -modfile=tools.mod forbidigo -set_exit_status '^time\.(Sleep|After)$$' ./e2e/...
	cd ui && npx tsc --noEmit && npx eslint . --max-warnings 0 && npx prettier --check --log-level warn src
	cd ui && npx vitest run --reporter=dot

# What needs neither a browser nor a package of the system's: for every save.
unit: ui/node_modules/.stamp $(KNOWN) ## the core, the formats and the interface, without browser or database
	@mkdir -p ui/dist
	go test $$(go list ./core/... ./interchange/... ./wasm/... . ./server/api/web ./server/api/wire ./server/feed/sim ./demo)
	cd ui && npx tsc --noEmit && npx vitest run --reporter=dot

# Where goroutines meet; readers and writers of server/api go through every room.
RACED := ./cmd/... ./core/sweep ./demo ./server/account ./server/api ./server/api/logbook ./server/feed/... ./server/localdb ./server/store

go-test: ui ## all Go tests, with the race detector where goroutines meet
	@scripts/setup.sh mariadb chromium gcc
	go test -race -timeout 60m $(RACED)
	go test -timeout 60m $$(go list ./... | grep -vxF "$$(go list $(RACED) ./e2e/...)")
	go test -timeout 90m ./e2e/... # the server in it is raced by its own tests

e2e: ui ## the interface driven in Chromium
	@scripts/setup.sh mariadb chromium
	go test -count=1 ./e2e

dev: ui/node_modules/.stamp $(KNOWN) $(WASM)/core.wasm ## live reload of the interface on port 5173, the server behind it on $(PORT)
	@scripts/setup.sh mariadb
	@mkdir -p ui/dist && go build -o $(BIN) ./cmd/greypebble
	@trap 'kill 0' EXIT; $(BIN) demo --port $(PORT) --data $(DATA) & cd ui && GREYPEBBLE_API=http://127.0.0.1:$(PORT) npx vite

bench: ui/node_modules/.stamp $(KNOWN) ## one figure a line: name value unit
	@scripts/setup.sh mariadb
	@go run ./bench

review: ## the answers to all cases of the trade, on one page: docs/review.md
	@go run ./bench/review

load: build ## how long people wait when 50, then 200 use it at once
	go build -o bin/load ./bench/load
	bin/load -people 50
	bin/load -people 200

soak: build ## ten minutes of that with faults, and the tests that draw lots, whole
	go build -o bin/load ./bench/load
	bin/load -people 40 -for 10m -soak
	GREYPEBBLE_SOAK=1 go test -count=1 -timeout 60m -run 'CutOff|NothingOdd|Acknowledged|OffsetsStay|FullDisk' ./server/store ./cmd/greypebble ./server/api
	GREYPEBBLE_SOAK=1 go test -count=1 -timeout 60m -run HoldsStill ./e2e

shots: ui ## the pictures of docs/screenshots, from the demo data
	@scripts/setup.sh mariadb chromium
	go run ./e2e/shots

fmt: ui/node_modules/.stamp ## formats Go and the interface
	gofmt -w $$(git ls-files -co --exclude-standard '*.go')
	cd ui && npx prettier --write --log-level warn src

clean: ## leaves no build behind
	rm -rf bin ui/dist/* ui/node_modules $(KNOWN)
