// Package web carries the built interface inside the binary.
package web

import (
	"embed"
	"io/fs"
)

//go:embed all:dist
var dist embed.FS

// Site returns the built interface, or an error when it was not built into this binary.
func Site() (fs.FS, error) {
	site, err := fs.Sub(dist, "dist/site")
	if err != nil {
		return nil, err
	}
	if _, err := fs.Stat(site, "index.html"); err != nil {
		return nil, err
	}
	return site, nil
}
