// Package server puts the workshop and its engineering on HTTP: one file per resource, no
// engineering of its own.
package server

import (
	"cmp"
	"context"
	"io/fs"
	"log/slog"
	"net/http"
	"os"
	"runtime/debug"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humaecho"
	"github.com/labstack/echo/v5"
	"github.com/labstack/echo/v5/middleware"

	"jiriki/core/bounds"
	"jiriki/core/quantity"
	"jiriki/store"
)

// Config is what a server needs to run.
type Config struct {
	Store *store.Store
	Site  fs.FS    // built interface; nil serves the API alone
	Hosts []string // host names answered to besides the loopback ones
	Log   *slog.Logger

	BodyTime time.Duration // in which a request's body must have come; 10 s when 0
}

// api holds what handlers share.
type api struct {
	store    *store.Store
	log      *slog.Logger
	huma     huma.API
	shapes   map[string]*bounds.Shape // of the JSON that operations take
	gates    map[lane]*gate
	putBys   *gate // files that are coming in
	bodyTime time.Duration
	stock    stock
	verdicts verdicts
	starts   starts
	live     live
}

// Server answers everything there is to ask.
type Server struct {
	http.Handler
	api *api
}

// New returns a server.
func New(c Config) *Server {
	e := echo.New()
	e.Logger = c.Log
	e.Use(middleware.Recover(), guard(c.Hosts), headers)
	a := describe(e, c)
	if c.Site != nil {
		serveSite(e, c.Site)
	}
	return &Server{headed(e), a}
}

// Warm works out what the first look at the shed will ask for. What goes wrong is left to that look.
func (s *Server) Warm(ctx context.Context) {
	if _, err := s.api.getWorkshop(ctx, &unitsQuery{Units: quantity.Metric}); err != nil {
		s.api.log.WarnContext(ctx, "the shed was not worked out beforehand", "err", err)
	}
}

// headed answers HEAD as it would GET; the body is left out by net/http, which knows what was asked.
func headed(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if r.Method == http.MethodHead {
			get := *r
			get.Method = http.MethodGet
			r = &get
		}
		next.ServeHTTP(w, r)
	})
}

// describe registers every operation and returns what they share.
func describe(e *echo.Echo, c Config) *api {
	config := huma.DefaultConfig("Jiriki", "1")
	config.DocsPath, config.OpenAPIPath, config.SchemasPath = "", "/api/openapi", ""
	// No $schema links in answers: the open file is the only thing people keep.
	config.CreateHooks = nil
	config.Components.Schemas = huma.NewMapRegistry("#/components/schemas/", schemaName)
	config.Transformers = append(config.Transformers, withoutBody)
	hapi := humaecho.New(e, config)
	a := &api{store: c.Store, log: c.Log, huma: hapi, gates: gates(), putBys: newGate(mostPutBy, 0),
		bodyTime: cmp.Or(c.BodyTime, bodyTime)}
	hapi.UseMiddleware(a.admit(hapi))
	a.workshop(hapi)
	a.catalogue(hapi)
	a.machines(hapi)
	a.plans(hapi)
	a.shelf(hapi)
	a.pictures(hapi)
	a.assess(hapi)
	a.dryRun(hapi)
	a.trials(hapi)
	a.instruments(hapi)
	a.logs(hapi)
	a.faults(hapi)
	a.practice(hapi)
	a.search(hapi)
	a.belts(hapi)
	a.identify(hapi)
	a.slate(hapi)
	a.compare(hapi)
	a.files(hapi)
	a.shapes = shapesOf(hapi)
	e.GET("/api/live", a.listenLive)
	return a
}

// OpenAPI returns the description of the API, from which the interface's types are made.
func OpenAPI() ([]byte, error) {
	return describe(echo.New(), Config{}).huma.OpenAPI().MarshalJSON()
}

// Server timeouts: a plan is small, so anything slower than these is not a person.
const (
	readHeaderTimeout = 5 * time.Second
	readTimeout       = 30 * time.Second
	writeTimeout      = 60 * time.Second
	idleTimeout       = 2 * time.Minute
)

// GCPercent is the pace of garbage collection a server should run at: what an assessment leaves behind is
// short-lived, and collecting it at the usual pace takes a quarter of the time of an answer.
const GCPercent = 400

// memoryLimit is where that pace ends: what a file or a crowd leaves behind is collected before it adds
// up. It bounds nothing that is in use; the gates do.
const memoryLimit = 96 << 20

// TuneMemory sets both for the whole program, unless the environment does (GOGC, GOMEMLIMIT).
func TuneMemory() {
	if os.Getenv("GOGC") == "" {
		debug.SetGCPercent(GCPercent)
	}
	if os.Getenv("GOMEMLIMIT") == "" {
		debug.SetMemoryLimit(memoryLimit)
	}
}

// HTTP returns an http.Server for the handler with its timeouts set.
func HTTP(addr string, handler http.Handler) *http.Server {
	return &http.Server{
		Addr: addr, Handler: handler,
		ReadHeaderTimeout: readHeaderTimeout, ReadTimeout: readTimeout, WriteTimeout: writeTimeout,
		IdleTimeout:    idleTimeout,
		MaxHeaderBytes: 32 << 10,
	}
}
