# Jiriki's commands. Each does the set-up it needs.
.PHONY: demo dev stop test bench proof mutants fuzz screenshots types

demo: ## serve the demo workshop on 127.0.0.1
	@scripts/demo.sh

stop: ## stop what demo started
	@scripts/stop.sh

test: ## everything CI checks
	@scripts/test.sh

dev: ## rebuild the interface as it is edited, on the demo's server
	@scripts/demo.sh && cd web && npx vite

bench: ## figures against the quality bars
	@scripts/bench.sh

proof: ## bodies made to break the server, crowds, backups, older programs, and 20 kills of it and its database
	@scripts/proof.sh

mutants: ## changes one figure of the core at a time: would a test notice?
	@scripts/mutants.sh

fuzz: ## every fuzz target for a minute
	@scripts/fuzz.sh

screenshots: ## refresh docs/screenshots from the demo
	@scripts/screenshots.sh

types: ## regenerate what is made from the code: API types, open file schema, sources register
	@scripts/generate.sh
