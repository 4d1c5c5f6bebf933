package server

import (
	"maps"
	"net"
	"net/http"
	"net/url"
	"strings"

	"github.com/labstack/echo/v5"
)

// guard answers only to names the server is known by, so that a page elsewhere cannot reach it
// by pointing its own name at loopback, and refuses changes asked for by another origin.
func guard(hosts []string) echo.MiddlewareFunc {
	known := maps.Clone(loopback)
	for _, h := range hosts {
		known[strings.ToLower(h)] = true
	}
	return func(next echo.HandlerFunc) echo.HandlerFunc {
		return func(c *echo.Context) error {
			r := c.Request()
			if !knownHost(r.Host, known) {
				return problem(c, http.StatusMisdirectedRequest,
					"This server does not answer to that name. Start it with --host to add one.")
			}
			if r.Method != http.MethodGet && r.Method != http.MethodHead && !sameOrigin(r) {
				return problem(c, http.StatusForbidden, "Changes are taken only from Jiriki's own pages.")
			}
			return next(c)
		}
	}
}

// loopback are the names of this machine to itself, beside its addresses.
var loopback = map[string]bool{"localhost": true}

func knownHost(hostport string, known map[string]bool) bool {
	host := hostport
	if h, _, err := net.SplitHostPort(hostport); err == nil {
		host = h
	}
	host = strings.ToLower(strings.Trim(host, "[]"))
	if ip := net.ParseIP(host); ip != nil && ip.IsLoopback() {
		return true
	}
	return known[host]
}

// sameOrigin reports whether a browser says the request comes from the page's own origin.
// Programs other than browsers send neither header and are let through.
func sameOrigin(r *http.Request) bool {
	if site := r.Header.Get("Sec-Fetch-Site"); site != "" && site != "same-origin" && site != "none" {
		return false
	}
	origin := r.Header.Get("Origin")
	if origin == "" {
		return true
	}
	u, err := url.Parse(origin)
	return err == nil && u.Host == r.Host
}

// policy allows nothing but the application's own files. Styles may be set inline because
// positioned menus and drawings need it; scripts may not.
const policy = "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; " +
	"font-src 'self'; connect-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"

func headers(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		h := c.Response().Header()
		h.Set("Content-Security-Policy", policy)
		h.Set("X-Content-Type-Options", "nosniff")
		h.Set("Referrer-Policy", "no-referrer")
		if r := c.Request(); r.TLS != nil || r.Header.Get("X-Forwarded-Proto") == "https" || knownHost(r.Host,
			loopback) {
			// Elsewhere over plain HTTP a browser ignores it and complains.
			h.Set("Cross-Origin-Opener-Policy", "same-origin")
		}
		h.Set("Cross-Origin-Resource-Policy", "same-origin")
		return next(c)
	}
}
