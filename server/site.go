package server

import (
	"io/fs"
	"net/http"
	"strings"

	"github.com/labstack/echo/v5"
	"github.com/labstack/echo/v5/middleware"
)

// serveSite serves the built interface. Files under assets carry a hash in their name and may
// be kept; the page itself is asked for each time. Only these are compressed: an assessment is
// asked for at every keystroke, mostly over loopback, where squeezing it costs more than it saves.
func serveSite(e *echo.Echo, site fs.FS) {
	files := http.FileServerFS(site)
	e.GET("/*", func(c *echo.Context) error {
		path := strings.TrimPrefix(c.Request().URL.Path, "/")
		if path != "" {
			if info, err := fs.Stat(site, path); err != nil || info.IsDir() {
				return problem(c, http.StatusNotFound, "There is no such page.")
			}
		}
		cache := "no-cache"
		if strings.HasPrefix(path, "assets/") {
			cache = "public, max-age=31536000, immutable"
		}
		c.Response().Header().Set("Cache-Control", cache)
		files.ServeHTTP(c.Response(), c.Request())
		return nil
	}, middleware.Gzip())
}
