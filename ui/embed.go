// Package ui carries the built interface inside the program.
package ui

import (
	"crypto/sha256"
	"embed"
	"encoding/hex"
	"io/fs"
	"mime"
	"net/http"
	"path"
	"strconv"
	"strings"
)

//go:embed all:dist
var dist embed.FS

// Handler serves the interface: hashed assets for ever, everything else with an
// ETag; unknown paths get the page, which has its own routes.
func Handler() http.Handler {
	_ = mime.AddExtensionType(".webmanifest", "application/manifest+json")
	files, err := fs.Sub(dist, "dist")
	if err != nil {
		panic(err) // the directory is embedded
	}
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if r.Method != http.MethodGet && r.Method != http.MethodHead {
			http.Error(w, "only GET here", http.StatusMethodNotAllowed)
			return
		}
		name := strings.TrimPrefix(path.Clean(r.URL.Path), "/")
		raw, err := fs.ReadFile(files, name)
		if err != nil {
			if strings.HasPrefix(name, "assets/") {
				http.NotFound(w, r)
				return
			}
			name = "index.html"
			if raw, err = fs.ReadFile(files, name); err != nil {
				http.Error(w, "The interface was not built into this program; run make build.", http.StatusServiceUnavailable)
				return
			}
		}
		serve(w, r, name, raw, files)
	})
}

func serve(w http.ResponseWriter, r *http.Request, name string, raw []byte, files fs.FS) {
	h := w.Header()
	kind := mime.TypeByExtension(path.Ext(name))
	if kind == "" {
		kind = http.DetectContentType(raw)
	}
	h.Set("Content-Type", kind)
	if pressed, err := fs.ReadFile(files, name+".br"); err == nil {
		h.Add("Vary", "Accept-Encoding")
		// What it comes to when it is taken out again: nothing else tells a page how far it has come.
		h.Set("X-Whole-Length", strconv.Itoa(len(raw)))
		if takesBrotli(r) {
			h.Set("Content-Encoding", "br")
			raw = pressed
		}
	}
	if strings.HasPrefix(name, "assets/") {
		h.Set("Cache-Control", "public, max-age=31536000, immutable")
	} else {
		h.Set("Cache-Control", "no-cache")
	}
	sum := sha256.Sum256(raw)
	etag := `"` + hex.EncodeToString(sum[:12]) + `"`
	h.Set("ETag", etag)
	if r.Header.Get("If-None-Match") == etag {
		w.WriteHeader(http.StatusNotModified)
		return
	}
	_, _ = w.Write(raw)
}

// takesBrotli says that a browser takes what was pressed so: named, and not at the weight of nought.
func takesBrotli(r *http.Request) bool {
	for _, list := range r.Header.Values("Accept-Encoding") {
		for _, one := range strings.Split(list, ",") {
			name, weight, weighed := strings.Cut(strings.ReplaceAll(one, " ", ""), ";q=")
			if name == "br" && (!weighed || strings.Trim(weight, "0.") != "") {
				return true
			}
		}
	}
	return false
}
